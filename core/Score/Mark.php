<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** An articulation or an ornament at a note. Ornaments are kept and not interpreted. */
enum Mark: string
{
    case Staccato = 'staccato';
    case Tenuto = 'tenuto';
    case Accent = 'accent';
    case Marcato = 'strong-accent';
    case Staccatissimo = 'staccatissimo';
    case Breath = 'breath-mark';
    case Caesura = 'caesura';
    case Fermata = 'fermata';
    case Trill = 'trill-mark';
    case Turn = 'turn';
    case InvertedTurn = 'inverted-turn';
    case Mordent = 'mordent';
    case InvertedMordent = 'inverted-mordent';
    case Arpeggio = 'arpeggiate';

    private const ORNAMENTS = [self::Trill, self::Turn, self::InvertedTurn, self::Mordent, self::InvertedMordent];

    public function isOrnament(): bool
    {
        return in_array($this, self::ORNAMENTS, true);
    }

    /** The music stops for a moment after it. */
    public function isBreath(): bool
    {
        return $this === self::Breath || $this === self::Caesura;
    }

    /** It says how to touch the key: everything but ornaments, holds and breaths. */
    public function isArticulation(): bool
    {
        return ! $this->isOrnament() && ! $this->isBreath() && $this !== self::Fermata && $this !== self::Arpeggio;
    }
}

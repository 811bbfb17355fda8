<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** What stands between or along the staves. The four lines of time are opened, and closed by their own end. */
enum SignKind: string
{
    case Dynamic = 'dynamic';
    case Words = 'words';
    case Tempo = 'tempo';
    case Crescendo = 'crescendo';
    case Diminuendo = 'diminuendo';
    case HairpinEnd = 'hairpin end';
    case OttavaAbove = 'ottava above';
    case OttavaBelow = 'ottava below';
    case OttavaEnd = 'ottava end';
    case Chord = 'chord symbol';
    case Pedal = 'pedal';
    case PedalEnd = 'pedal end';

    /** What ends it; null for what has no length. */
    public function end(): ?self
    {
        return match ($this) {
            self::Crescendo, self::Diminuendo => self::HairpinEnd,
            self::OttavaAbove, self::OttavaBelow => self::OttavaEnd,
            self::Pedal => self::PedalEnd,
            default => null,
        };
    }

    public function isEnd(): bool
    {
        return in_array($this, [self::HairpinEnd, self::OttavaEnd, self::PedalEnd], true);
    }

    /** Where it stands unless the page says otherwise: words and tempo above the upper staff, dynamics below. */
    public function standsAbove(Hand $staff): bool
    {
        return $this === self::OttavaAbove || $this === self::Tempo || $this === self::Chord || ($this === self::Words && $staff === Hand::Right);
    }

    /** It says how loud. */
    public function isLoudness(): bool
    {
        return in_array($this, [self::Dynamic, self::Crescendo, self::Diminuendo], true);
    }
}

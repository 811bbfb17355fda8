<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Choice;

/** What is said when a bar is counted (trade 5.1). */
enum CountingSystem: string implements Choice
{
    /** 1 & 2 & through the bar. */
    case Numbers = 'numbers';
    /** Each note by its own length: 1, 1-2, 1-2-3. */
    case Units = 'units';
    /** ta, ti-ti: a word for each length, which the teacher may change. */
    case TimeNames = 'time-names';
    /** du on the beat, de halfway. */
    case DuDe = 'du-de';
    /** quarter, half; or crotchet, minim. */
    case NoteNames = 'note-names';
    /** The teacher's own word for each length. */
    case OwnWords = 'own-words';
    /** The words of the piece, and numbers where there are none. */
    case Lyrics = 'lyrics';

    public function label(): string
    {
        return match ($this) {
            self::Numbers => '1 & 2 &',
            self::Units => 'Each note by its length',
            self::TimeNames => 'ta, ti-ti',
            self::DuDe => 'du, du-de',
            self::NoteNames => 'Names of the notes',
            self::OwnWords => 'Words of the studio',
            self::Lyrics => 'The words of the song',
        };
    }

    /** Moments of the bar are said, whatever notes stand on them; otherwise each note has a word. */
    public function isByBeat(): bool
    {
        return $this === self::Numbers || $this === self::DuDe;
    }
}

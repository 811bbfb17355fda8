<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Choice;

/** How a student answers "which note is this?" (trade 3.3). */
enum School: string implements Choice
{
    case Landmark = 'landmark';
    case Alphabet = 'alphabet';
    case Phrase = 'phrase';

    public function label(): string
    {
        return match ($this) {
            self::Landmark => 'From landmarks',
            self::Alphabet => 'By the alphabet',
            self::Phrase => 'By a sentence',
        };
    }
}

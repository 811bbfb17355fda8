<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Choice;

/** How a task went at home, in the child's word. */
enum Feeling: string implements Choice
{
    case Easy = 'easy';
    case Fine = 'fine';
    case Hard = 'hard';

    public function label(): string
    {
        return match ($this) {
            self::Easy => 'Easy',
            self::Fine => 'Fine',
            self::Hard => 'Hard',
        };
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Choice;

/** Where the "&" is said. */
enum CountStyle: string implements Choice
{
    /** In every beat of a bar that has an eighth in either hand. */
    case WholeBar = 'bar';
    /** Only in the beats that divide. */
    case DividedBeats = 'beats';

    public function label(): string
    {
        return match ($this) {
            self::WholeBar => 'all through a bar that divides a beat',
            self::DividedBeats => 'only in beats that divide',
        };
    }
}

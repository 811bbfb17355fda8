<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Choice;

/** When a stage passes, where a teacher says nothing else (trade 8.1). */
enum PassMark: string implements Choice
{
    case ThreeInARow = 'three in a row';
    case Once = 'once through';

    public static function of(bool $threeInARow): self
    {
        return $threeInARow ? self::ThreeInARow : self::Once;
    }

    public function effort(): Effort
    {
        return $this === self::ThreeInARow ? Effort::ThreeInARow : Effort::Once;
    }

    public function label(): string
    {
        return match ($this) {
            self::ThreeInARow => 'three in a row with no slip, at this tempo',
            self::Once => 'once through, nothing left out',
        };
    }
}

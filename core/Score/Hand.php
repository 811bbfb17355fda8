<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

use Nasturtium\Core\Choice;

/** The hands of a player. */
enum Hand: string implements Choice
{
    case Right = 'R';
    case Left = 'L';

    public function label(): string
    {
        return $this === self::Right ? 'Right' : 'Left';
    }

    public function word(): string
    {
        return $this === self::Right ? 'right hand' : 'left hand';
    }

    public function other(): self
    {
        return $this === self::Right ? self::Left : self::Right;
    }

    /** Numbers run up with the pitch in the right hand and down in the left. */
    public function direction(): int
    {
        return $this === self::Right ? 1 : -1;
    }
}

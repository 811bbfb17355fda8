<?php

declare(strict_types=1);

namespace App\Queue;

/** How far work on the queue is. */
enum WorkState: string
{
    case Waiting = 'waiting';
    case Working = 'working';
    case Done = 'done';
    case Refused = 'refused';

    public function isGoingOn(): bool
    {
        return $this === self::Waiting || $this === self::Working;
    }
}

<?php

declare(strict_types=1);

namespace App\Archive;

/** How far it is. */
enum ArchiveState: string
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

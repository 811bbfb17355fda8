<?php

declare(strict_types=1);

namespace App\Archive;

/** What is done with the archive of a studio. */
enum ArchiveKind: string
{
    case Pack = 'pack';
    case Restore = 'restore';
}

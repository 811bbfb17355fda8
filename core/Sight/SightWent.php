<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sight;

use Nasturtium\Core\Choice;

/** How a line at sight went. */
enum SightWent: string implements Choice
{
    case Clean = 'clean';
    case Nearly = 'nearly';
    case Hard = 'hard';

    public function label(): string
    {
        return match ($this) {
            self::Clean => 'Clean',
            self::Nearly => 'Nearly',
            self::Hard => 'Hard',
        };
    }
}

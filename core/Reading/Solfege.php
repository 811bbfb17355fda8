<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;

/** Movable do, la-based minor, chromatic syllables (trade 8.3). */
final readonly class Solfege
{
    private const SYLLABLES = [
        -1 => ['ti', 'ra', 'me', 'mi', 'se', 'le', 'te'],
        0 => ['do', 're', 'mi', 'fa', 'sol', 'la', 'ti'],
        1 => ['di', 'ri', 'fa', 'fi', 'si', 'li', 'do'],
    ];

    /** @param int $do the letter of do, 0 for C to 6 for B */
    public static function of(Pitch $pitch, Key $key, int $do): string
    {
        $degree = ($pitch->step - $do + 7) % 7;
        $bent = max(-1, min(1, $pitch->alter - $key->alters($pitch->step)));

        return self::SYLLABLES[$bent][$degree];
    }
}

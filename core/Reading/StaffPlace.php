<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** Where a note stands on its staff, counted from the bottom (trade 3.1). */
final readonly class StaffPlace
{
    private const TOP_LINE = 8;

    /** `line 2`, `space 3`, `space above`, `ledger 1 below`, `space above ledger 1`. An ottava line moves the written note, not the sound. */
    public static function of(Pitch $pitch, Clef $clef, int $ottava = 0): string
    {
        $place = $pitch->diatonic() - 7 * $ottava - $clef->bottomLine();
        if ($place >= 0 && $place <= self::TOP_LINE) {
            return $place % 2 === 0 ? 'line '.(intdiv($place, 2) + 1) : 'space '.(intdiv($place, 2) + 1);
        }
        $side = $place < 0 ? 'below' : 'above';
        $beyond = $place < 0 ? -$place : $place - self::TOP_LINE;
        $ledger = intdiv($beyond, 2);

        return match (true) {
            $beyond === 1 => "space {$side}",
            $beyond % 2 === 0 => "ledger {$ledger} {$side}",
            default => "space {$side} ledger {$ledger}",
        };
    }
}

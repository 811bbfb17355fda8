<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Outside the staff a note stands on its own lines, every one of them, which letters do not. */
final class Ledgers
{
    /** How sure a place is that the line beside it may overrule. */
    private const UNSURE = 0.93;

    /** A hollow head is on the line whose ends are seen beside it, though its hole is nearer to the space within. */
    public static function placed(Strip $strip, Head $head): Head
    {
        $outwards = $head->place < 0 ? -1 : 1;
        $isBeside = $head->hollow && $head->sure < self::UNSURE && $head->place % 2 !== 0 && ($head->place < 0 || $head->place > 8);
        if (! $isBeside || ! self::isThere($strip, Strip::row($head->place + $outwards), $head->x, $head->width, true)) {
            return $head;
        }
        $placed = new Head($head->x, $head->place + $outwards, true, $head->width, $head->sure);
        [$placed->tallLeft, $placed->tallRight, $placed->doubt] = [$head->tallLeft, $head->tallRight, 'place'];

        return $placed;
    }

    public static function hold(Strip $strip, Head $head): bool
    {
        $step = $head->place < 0 ? -2 : 2;
        for ($place = $head->place < 0 ? -2 : 10; ($head->place - $place) * $step >= 0; $place += $step) {
            if (! self::isThere($strip, Strip::row($place), $head->x, $head->width, $place === $head->place)) {
                return false;
            }
        }

        return true;
    }

    /** @param bool $through it goes through the head, and is seen on both sides of it alone */
    private static function isThere(Strip $strip, int $row, float $x, float $width, bool $through): bool
    {
        $x = (int) round($x);
        $half = (int) round($width / 2);
        [$left, $right, $middle] = [0, 0, 0];
        for ($d = -3; $d <= 3; $d++) {
            $line = $strip->rows[$row + $d] ?? '';
            $left = max($left, Strip::ink($line, $x - $half - 4, 5));
            $right = max($right, Strip::ink($line, $x + $half, 5));
            $middle = max($middle, Strip::ink($line, $x - $half, 2 * $half));
        }

        return $through ? $left >= 2 && $right >= 2 : $middle >= 1.3 * $half && $left + $right >= 2;
    }
}

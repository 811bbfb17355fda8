<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;

/** Puts what was read of each line together: one key, one time, bars with their repeats and doubts. */
final class PageBuilder
{
    /** The times that pages have, the commonest first, and the two signs. */
    public const TIMES = ['4/4', '3/4', '2/4', '6/8', '2/2', '3/8', '9/8', '12/8', '5/4', 'C', 'C|'];

    /**
     * @param non-empty-list<System> $systems
     * @param int                    $line    of the page that the first of them is
     * @param Meter|null             $time    where it is known
     */
    public static function of(array $systems, int $line, ?Meter $time = null): ReadPhoto
    {
        $hands = max(array_map(static fn (System $system): int => count($system->staves), $systems));
        $clefs = [];
        for ($i = 0; $i < $hands; $i++) {
            $clefs[] = ($systems[0]->staves[$i] ?? $systems[0]->staves[0])->opening->clef;
        }
        $fifths = $systems[0]->key() ?? self::key($systems);
        $time ??= self::time($systems);
        self::splitJoined($systems, $time);
        $endings = self::endings($systems);
        $bars = [];
        [$keyNow, $timeNow] = [$fifths, $time];
        foreach ($systems as $n => $system) {
            $keyNow = $system->key() ?? $keyNow;
            $timeNow = $n === 0 ? $time : $system->time() ?? $timeNow;
            foreach ($system->bars as $b => [$from, $to, $before, $after]) {
                $keyNow = $system->signatures[$b]->fifths ?? $keyNow;
                $timeNow = $system->signatures[$b]->time ?? $timeNow;
                $length = ReadPhoto::length($timeNow);
                $staves = [];
                // Within a line every bar ends with a line that was seen, or there is one that was not.
                $doubts = $after === null && isset($system->bars[$b + 1]) ? [[1, 'line']] : [];
                $read = array_map(static fn (Staff $staff): array => $staff->between($from, $to), $system->staves);
                $own = array_map(static fn (Staff $staff, array $items): Clef => self::giveClefs($staff, $items, $from, $to), $system->staves, $read);
                $full = $bars === [] ? self::pickup($read, $length) : $length;
                // The hand that comes to the bar as it is helps the one that does not.
                $sure = [];
                $order = array_keys($read);
                usort($order, static fn (int $a, int $b): int => abs(Rhythm::sum($read[$a]) - $full) <=> abs(Rhythm::sum($read[$b]) - $full));
                foreach ($order as $i) {
                    [$staves[$i], $isSure] = self::settled($read[$i], $system->staves[$i]->aside($from, $to), $full, $sure);
                    if (! $isSure) {
                        $doubts[] = [$i + 1, 'sum', self::bent($staves[$i])];
                    }
                    foreach (self::pitchDoubts($staves[$i]) as $why => $sign) {
                        $doubts[] = [$i + 1, $why, $sign];
                    }
                }
                ksort($staves);
                $staves = array_values($staves);
                $bars[] = new ReadBar(
                    array_map(static fn (array $items): array => array_map(ReadSign::of(...), $items), $staves),
                    $before !== null && $before->dotsAfter,
                    $after !== null && $after->dotsBefore,
                    $doubts,
                    $line + $n,
                    array_map(static fn (Staff $staff): array => [$staff->strip->columnAt($from), $staff->strip->columnAt($to)], $system->staves),
                    $endings[$n][$b] ?? 0,
                    array_filter($own, static fn (Clef $clef, int $i): bool => $clef !== $clefs[$i], ARRAY_FILTER_USE_BOTH),
                    $keyNow === $fifths ? null : $keyNow,
                    $timeNow->looksLike($time) ? null : $timeNow,
                );
            }
        }
        $counts = array_map(static fn (System $system): int => count($system->bars), $systems);
        $numbers = BarNumbers::ofBars(array_map(static fn (System $system): ?int => BarNumbers::above($system->staves[0]), $systems), $counts);

        return new ReadPhoto($clefs, $fifths, $time, self::counted($bars, $line, BarNumbers::miscounted($numbers, $counts)), number: $numbers[0] ?? 1);
    }

    /**
     * Where every staff has just twice what a bar holds, and none has two voices, the line between two bars was not seen.
     *
     * @param non-empty-list<System> $systems
     */
    private static function splitJoined(array $systems, Meter $time): void
    {
        foreach ($systems as $n => $system) {
            $time = $n === 0 ? $time : $system->time() ?? $time;
            for ($b = 0; isset($system->bars[$b]); $b++) {
                $time = $system->signatures[$b]->time ?? $time;
                $at = self::middle($system, $b, ReadPhoto::length($time));
                if ($at !== null) {
                    $system->splitBar($b, $at);
                }
            }
        }
    }

    /** Where a bar of that many ticks ends within one that is twice as long; null where it is not. */
    private static function middle(System $system, int $b, int $length): ?float
    {
        [$from, $to] = $system->bars[$b];
        [$last, $next] = [$from, $to];
        foreach ($system->staves as $staff) {
            $items = $staff->between($from, $to);
            if (Rhythm::sum($items) !== 2 * $length || count(Voices::of($items, $staff->aside($from, $to), $length)) > 1) {
                return null;
            }
            $at = 0;
            foreach ($items as $item) {
                if ($at < $length && $at + $item->ticks() > $length) {
                    return null;
                }
                [$last, $next] = $at < $length ? [max($last, $item->pageX), $next] : [$last, min($next, $item->pageX)];
                $at += $item->ticks();
            }
        }

        return $last < $next ? ($last + $next) / 2 : null;
    }

    /**
     * Where the numbers on the page count other bars than were read, the longest of the line is in doubt: a line may be missing in it.
     *
     * @param  list<ReadBar> $bars
     * @param  int           $line  of the page that the first of them stands in
     * @param  list<int>     $wrong lines from there
     * @return list<ReadBar>
     */
    private static function counted(array $bars, int $line, array $wrong): array
    {
        foreach ($wrong as $n) {
            $own = array_keys(array_filter($bars, static fn (ReadBar $bar): bool => $bar->line === $line + $n));
            usort($own, static fn (int $a, int $b): int => $bars[$b]->width() <=> $bars[$a]->width());
            if (isset($own[0])) {
                $bars[$own[0]] = $bars[$own[0]]->doubted([...$bars[$own[0]]->doubts, [1, 'count']]);
            }
        }

        return array_values($bars);
    }

    /**
     * The clefs within a bar are told to the notes that they stand before.
     *
     * @param  list<Item> $items of the bar, from left to right
     * @return Clef       with which it begins
     */
    private static function giveClefs(Staff $staff, array $items, float $from, float $to): Clef
    {
        $first = $staff->clefAt($from);
        foreach ($staff->clefsBetween($from, $to) as [$at, $clef]) {
            $next = array_values(array_filter($items, static fn (Item $item): bool => $item->pageX > $at));
            if ($next !== [] && $next[0] === $items[0]) {
                $first = $clef;
            } elseif ($next !== []) {
                $next[0]->clef = $clef;
            }
        }

        return $first;
    }

    /**
     * A first ending goes on to its repeat sign, and what is under the bracket after it is the second.
     *
     * @param  non-empty-list<System>      $systems
     * @return array<int, array<int, int<1, max>>> which it is, by line and bar of the line
     */
    private static function endings(array $systems): array
    {
        $endings = [];
        [$pass, $most, $under, $returns] = [0, 0, null, false];
        foreach ($systems as $n => $system) {
            foreach ($system->bars as $b => [$from, $to, , $after]) {
                $over = $system->endingOver($from, $to);
                if ($over === null) {
                    $pass = 0;
                } else {
                    // What goes on over the end of a line has no repeat sign there.
                    $isNext = $pass > 0 && $returns && $under !== [$n, $over];
                    $pass = $pass === 0 || $isNext ? $pass + 1 : $pass;
                    $endings[$n][$b] = $pass;
                    $most = max($most, $pass);
                }
                [$under, $returns] = [$over === null ? null : [$n, $over], $after !== null && $after->dotsBefore];
            }
        }

        return $most > 1 ? $endings : [];
    }

    /**
     * What stands on a staff in a bar, each of its voices on its own.
     *
     * @param  list<Item>              $items
     * @param  list<Item>              $aside rests that two voices have
     * @param  list<Item>              $sure what is sure in the bar; one of these voices where it is
     * @return array{list<Item>, bool} from left to right, and whether it is sure
     */
    private static function settled(array $items, array $aside, int $length, array &$sure): array
    {
        $all = [];
        $areSure = true;
        // Where two voices rest, one rest is printed.
        $items = $items === [] && count($aside) === 1 && $aside[0]->fillsBar ? $aside : $items;
        $voices = Voices::of($items, $aside, $length);
        foreach ($voices as $voice) {
            [$kept, $isSure] = Rhythm::settle($voice, $length, $sure);
            $sure = $isSure && count($kept) > 1 ? $kept : $sure;
            $areSure = $areSure && $isSure;
            array_push($all, ...$kept);
        }
        if (count($voices) > 1) {
            usort($all, static fn (Item $a, Item $b): int => $a->x <=> $b->x);
        }

        return [$all, $areSure];
    }

    /**
     * @param  list<Item> $items
     * @return int        the first whose length was not as it was seen; 0 where all are
     */
    private static function bent(array $items): int
    {
        foreach ($items as $i => $item) {
            if ($item->seen !== null) {
                return $i;
            }
        }

        return 0;
    }

    /**
     * @param  list<Item>         $items
     * @return array<string, int> why, and at which of them first
     */
    private static function pitchDoubts(array $items): array
    {
        $why = [];
        foreach ($items as $i => $item) {
            foreach ($item->heads as $head) {
                if ($head->doubt !== null) {
                    $why[$head->doubt] ??= $i;
                }
            }
        }

        return $why;
    }

    /**
     * Where every hand that plays plays equally short, the first bar is a pickup.
     *
     * @param  list<list<Item>> $staves
     * @return int the length of the first bar, in ticks
     */
    private static function pickup(array $staves, int $length): int
    {
        $sums = [];
        foreach ($staves as $items) {
            if (count($items) !== 1 || ! $items[0]->fillsBar) {
                $sums[] = Rhythm::sum($items);
            }
        }
        $sums = array_unique(array_diff($sums, [0]));

        return count($sums) === 1 && min($sums) < $length && 2 * min($sums) <= $length + Item::QUARTER ? min($sums) : $length;
    }

    /** @param non-empty-list<System> $systems of one piece */
    public static function key(array $systems): int
    {
        $keys = array_merge(...array_map(static fn (System $system): array => array_map(static fn (Staff $staff): int => $staff->opening->fifths, $system->staves), $systems));
        // A sign of the key is sooner missed than invented.
        usort($keys, static fn (int $a, int $b): int => abs($b) <=> abs($a));

        return (int) self::commonest(array_map(strval(...), $keys));
    }

    /** @param list<string> $values */
    private static function commonest(array $values): string
    {
        $counts = array_count_values($values);
        arsort($counts);

        return (string) array_key_first($counts);
    }

    /** @param non-empty-list<System> $systems */
    private static function time(array $systems): Meter
    {
        $votes = [];
        foreach ($systems[0]->staves as $staff) {
            $read = $staff->opening->time;
            if ($read?->isWritten() === true) {
                $votes[$read->printed] = ($votes[$read->printed] ?? 0) + max(0.0, 1 - $read->far);
            }
        }
        $sums = [];
        foreach ($systems as $n => $system) {
            foreach ($system->bars as $b => [$from, $to]) {
                if ($n > 0 && $system->time() !== null || isset($system->signatures[$b]->time)) {
                    // From here on they come to another one.
                    break 2;
                }
                foreach ($system->staves as $staff) {
                    $sum = Rhythm::sum(array_values(array_filter($staff->between($from, $to), static fn (Item $item): bool => ! $item->fillsBar)));
                    $sums[$sum] = ($sums[$sum] ?? 0) + 1;
                }
            }
        }
        unset($sums[0]);
        arsort($sums);
        $all = max(1, array_sum($sums));
        foreach (self::TIMES as $i => $time) {
            $votes[$time] = ($votes[$time] ?? 0) + 1.6 * ($sums[ReadPhoto::length(Meter::parse($time))] ?? 0) / $all - 0.01 * $i;
        }
        arsort($votes);

        return Meter::parse((string) array_key_first($votes));
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Closure;
use Nasturtium\Core\Score\Clef;

/** Puts a bar line that was not seen between two bars, and takes one away that is none. */
final class Bars
{
    /** Columns from a bar line to the sign after it. */
    private const BEFORE = 12;

    /** The bar and the next one of its line become one; as it is where there is none. */
    public static function joined(ReadPhoto $piece, int $n): ReadPhoto
    {
        [$bar, $next] = [$piece->bars[$n] ?? null, $piece->bars[$n + 1] ?? null];
        if ($bar === null || $next === null || $bar->line !== $next->line || count($bar->staves) !== count($next->staves)) {
            return $piece;
        }
        $length = max([0, ...array_map($bar->end(...), array_keys($bar->staves))]);
        $staves = [];
        foreach ($bar->staves as $i => $signs) {
            $after = array_map(static fn (ReadSign $sign): ReadSign => $sign->at($sign->onset + $length), $next->staves[$i]);
            $clef = $piece->clefOf($next, $i);
            if ($after !== [] && $clef !== $piece->clefAfter($bar, $i)) {
                $after[0] = $after[0]->after($after[0]->clef ?? $clef);
            }
            $staves[] = [...$signs, ...$after];
        }
        $columns = [];
        foreach ($bar->columns as $i => [$from, $to]) {
            $columns[] = [$from, $next->columns[$i][1] ?? $to];
        }
        $later = array_map(static fn (array $doubt): array => isset($doubt[2]) ? [$doubt[0], $doubt[1], $doubt[2] + count($bar->staves[$doubt[0] - 1] ?? [])] : $doubt, $next->doubts);
        $one = new ReadBar($staves, $bar->repeatStart, $next->repeatEnd, [...$bar->doubts, ...$later], $bar->line, $columns, $bar->ending, $bar->clefs, $bar->fifths, $bar->time);

        return self::with($piece, $n, 2, [$one]);
    }

    /** What stands in every staff from a sign on is the next bar; as it is where nothing stands before the sign. */
    public static function split(ReadPhoto $piece, int $n, int $staff, int $sign): ReadPhoto
    {
        $bar = $piece->bars[$n] ?? null;
        $at = $bar->staves[$staff][$sign] ?? null;
        if ($bar === null || $at === null || $at->onset === 0) {
            return $piece;
        }
        $isBefore = static fn (ReadSign $one): bool => $one->onset < $at->onset;
        [$before, $after, $columns] = [[], [], [[], []]];
        foreach ($bar->staves as $i => $signs) {
            $before[] = array_values(array_filter($signs, $isBefore));
            $after[] = array_values(array_map(static fn (ReadSign $one): ReadSign => $one->at($one->onset - $at->onset), array_filter($signs, static fn (ReadSign $one): bool => ! $isBefore($one))));
            [$from, $to] = $bar->columns[$i] ?? [0, 0];
            $middle = max($from, min($to, ($after[$i][0] ?? $at)->x - self::BEFORE));
            [$columns[0][], $columns[1][]] = [[$from, $middle], [$middle, $to]];
        }
        $doubts = self::parted($bar, $isBefore);
        $first = new ReadBar($before, $bar->repeatStart, false, $doubts[0], $bar->line, $columns[0], $bar->ending, $bar->clefs, $bar->fifths, $bar->time);
        $clefs = array_map(static fn (int $i): Clef => $piece->clefAfter($first, $i), array_keys($before));
        $others = array_filter($clefs, static fn (Clef $clef, int $i): bool => $clef !== ($piece->clefs[$i] ?? null), ARRAY_FILTER_USE_BOTH);
        $second = new ReadBar($after, false, $bar->repeatEnd, $doubts[1], $bar->line, $columns[1], $bar->ending, $others, $bar->fifths, $bar->time);

        return self::with($piece, $n, 1, [$first, $second]);
    }

    /**
     * What is in doubt of a sign goes where it goes.
     *
     * @param  Closure(ReadSign): bool $isBefore the new line
     * @return array{list<array{0: int, 1: string, 2?: int}>, list<array{0: int, 1: string, 2?: int}>}
     */
    private static function parted(ReadBar $bar, Closure $isBefore): array
    {
        $doubts = [[], []];
        foreach ($bar->doubts as $doubt) {
            $signs = $bar->staves[$doubt[0] - 1] ?? [];
            $k = $doubt[2] ?? 0;
            $before = count(array_filter(array_slice($signs, 0, $k), $isBefore));
            if (! isset($doubt[2], $signs[$k])) {
                $doubts[0][] = $doubt;
            } elseif ($isBefore($signs[$k])) {
                $doubts[0][] = [$doubt[0], $doubt[1], $before];
            } else {
                $doubts[1][] = [$doubt[0], $doubt[1], $k - $before];
            }
        }

        return $doubts;
    }

    /**
     * What was asked of the bar lines is answered; where lengths do not come to their bar now, that is asked.
     *
     * @param list<ReadBar> $bars
     */
    private static function with(ReadPhoto $piece, int $from, int $count, array $bars): ReadPhoto
    {
        $all = $piece->bars;
        $asked = [];
        foreach ($bars as $k => $bar) {
            $doubts = [];
            foreach ($bar->doubts as $doubt) {
                if (! in_array($doubt[1], ['line', 'count', 'sum'], true)) {
                    // What two bars ask alike is asked once.
                    $doubts["{$doubt[0]} {$doubt[1]}"] ??= $doubt;
                }
            }
            $asked[] = $bar->doubted([...array_values($doubts), ...$piece->sumDoubts($bar, $from + $k === 0)]);
        }
        array_splice($all, $from, $count, $asked);

        return $piece->with(bars: $all);
    }
}

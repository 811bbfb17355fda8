<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Closure;
use Nasturtium\Core\Score\Pitch;

/**
 * Puts together what a piece was read as when it was looked at twice. What came out the same and was sure once is sure. Of what
 * did not, the one that was sure is taken where the other was not, or where its lengths came to the bar as they were seen and
 * those of the other did not; else it is in doubt.
 */
final class Looks
{
    /** Columns of a strip between the ends of a bar as it was seen twice. */
    private const BAR = Strip::SPACE;

    /** Columns between a note as it was seen twice. */
    private const NOTE = 8;

    /** What was in doubt of the bar and its line, not of what stands on a staff. */
    private const OF_BAR = ['line', 'count'];

    public static function together(ReadPhoto $first, ReadPhoto $second): ReadPhoto
    {
        $bars = [];
        foreach ($first->bars as $bar) {
            $other = self::same($bar, $second->bars);
            $bars[] = $other === null ? $bar : self::bar($first, $bar, $second, $other);
        }

        return $first->with(bars: $bars);
    }

    /**
     * The bar that stands at the same place.
     *
     * @param list<ReadBar> $bars
     */
    private static function same(ReadBar $bar, array $bars): ?ReadBar
    {
        [$from, $to] = $bar->columns[0] ?? [0, 0];
        foreach ($bars as $other) {
            [$left, $right] = $other->columns[0] ?? [0, 0];
            if ($other->line === $bar->line && abs($left - $from) < self::BAR && abs($right - $to) < self::BAR && count($other->staves) === count($bar->staves)) {
                return $other;
            }
        }

        return null;
    }

    private static function bar(ReadPhoto $first, ReadBar $bar, ReadPhoto $second, ReadBar $other): ReadBar
    {
        $isAlike = $bar->fifths === $other->fifths && $bar->time?->printed() === $other->time?->printed() && $bar->clefs === $other->clefs;
        [$staves, $doubts, $readings] = [[], self::ofBar($bar, $other), []];
        foreach ($bar->staves as $i => $signs) {
            $there = $other->staves[$i] ?? [];
            [$own, $others] = [self::doubtsOf($bar, $i), self::doubtsOf($other, $i)];
            if (self::played($first, $bar, $i) === self::played($second, $other, $i)) {
                $staves[] = self::beside($signs, $there, static fn (ReadSign $sign, ReadSign $its): ReadSign => $sign->filled($its));
                array_push($doubts, ...($others === [] ? [] : $own));

                continue;
            }
            $reading = self::dressed($there, $signs);
            $fits = self::fits($bar, $i) <=> self::fits($other, $i);
            if ($isAlike && $others === [] && ($fits < 0 || $fits === 0 && $own !== [])) {
                $staves[] = $reading;

                continue;
            }
            if ($own === [] && $fits <= 0 && ! self::lacks($other, $i, $signs)) {
                $own = [[$i + 1, 'twice', self::other($signs, $there)]];
            }
            if ($isAlike && $own !== []) {
                $readings[$i] = $reading;
            }
            $staves[] = $signs;
            array_push($doubts, ...$own);
        }

        return $bar->reading($staves, $doubts, $readings);
    }

    /**
     * A bar line that was seen once is there; what the page counts was read once.
     *
     * @return list<array{0: int, 1: string, 2?: int}>
     */
    private static function ofBar(ReadBar $bar, ReadBar $other): array
    {
        return array_values(array_filter($bar->doubts, static fn (array $doubt): bool => $doubt[1] === 'count' || $doubt[1] === 'line' && in_array($doubt, $other->doubts, true)));
    }

    /** @return list<array{0: int, 1: string, 2?: int}> */
    private static function doubtsOf(ReadBar $bar, int $staff): array
    {
        return array_values(array_filter($bar->doubts, static fn (array $doubt): bool => $doubt[0] === $staff + 1 && ! in_array($doubt[1], self::OF_BAR, true)));
    }

    /**
     * @param  list<ReadSign> $signs
     * @param  list<ReadSign> $others
     * @return int            the first sign that was not the same the other time; the last where another one stood after it
     */
    private static function other(array $signs, array $others): int
    {
        foreach ($signs as $i => $sign) {
            if (! isset($others[$i]) || ! self::isWritten($sign, $others[$i], $sign->heads)) {
                return $i;
            }
        }

        return max(0, count($signs) - 1);
    }

    /**
     * Whether a staff is the same but for accidentals that were seen there and not known.
     *
     * @param list<ReadSign> $signs as it was read with them
     */
    private static function lacks(ReadBar $bar, int $staff, array $signs): bool
    {
        $others = $bar->staves[$staff] ?? [];
        if (array_unique(array_column(self::doubtsOf($bar, $staff), 1)) !== ['sign'] || count($others) !== count($signs)) {
            return false;
        }
        foreach ($signs as $i => $sign) {
            $known = array_column($others[$i]->heads, 'sign', 'place');
            $heads = array_map(static fn (ReadHead $head): ReadHead => ($known[$head->place] ?? null) === null ? new ReadHead($head->place) : $head, $sign->heads);
            if (! self::isWritten($sign, $others[$i], $heads)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether two signs stand for the same, fingers and ties apart.
     *
     * @param list<ReadHead> $heads that the first is taken to have
     */
    private static function isWritten(ReadSign $sign, ReadSign $other, array $heads): bool
    {
        $told = static fn (ReadHead $head): array => [$head->place, $head->sign];

        return $sign->onset === $other->onset && $sign->ticks() === $other->ticks() && array_map($told, $heads) === array_map($told, $other->heads);
    }

    /** Whether the lengths on a staff came to the bar as they were seen. */
    private static function fits(ReadBar $bar, int $staff): bool
    {
        $bent = array_filter($bar->staves[$staff] ?? [], static fn (ReadSign $sign): bool => $sign->seen !== null);

        return $bent === [] && ! in_array('sum', array_column(self::doubtsOf($bar, $staff), 1), true);
    }

    /** @return list<array{int, int, list<int>}> onset, length and pitches of each sign; which of two voices is first is all the same */
    private static function played(ReadPhoto $piece, ReadBar $bar, int $staff): array
    {
        $played = [];
        foreach ($piece->pitches($bar, $staff) as $k => $pitches) {
            $sign = $bar->staves[$staff][$k];
            $played[] = [$sign->onset, $sign->ticks(), array_map(static fn (Pitch $pitch): int => $pitch->midi(), array_values($pitches))];
        }
        sort($played);

        return $played;
    }

    /**
     * What goes over several notes or stands below them was read the first time alone.
     *
     * @param  list<ReadSign> $signs  as they were seen the second time
     * @param  list<ReadSign> $before the first time
     * @return list<ReadSign>
     */
    private static function dressed(array $signs, array $before): array
    {
        return self::beside($signs, $before, static fn (ReadSign $sign, ReadSign $other): ReadSign => $sign->filled($other)->over($other));
    }

    /**
     * @param  list<ReadSign>                        $signs
     * @param  list<ReadSign>                        $others
     * @param  Closure(ReadSign, ReadSign): ReadSign $given what a sign is given by the other one that stands there
     * @return list<ReadSign>
     */
    private static function beside(array $signs, array $others, Closure $given): array
    {
        return array_map(static function (ReadSign $sign) use ($others, $given): ReadSign {
            foreach ($others as $other) {
                if (abs($other->x - $sign->x) < self::NOTE && $other->isRest() === $sign->isRest()) {
                    return $given($sign, $other);
                }
            }

            return $sign;
        }, $signs);
    }
}

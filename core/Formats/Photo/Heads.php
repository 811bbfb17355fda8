<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Closure;

/** Finds the heads of notes: filled ones by an ellipse that is nearly all ink, hollow ones by a ring around a hole. */
final class Heads
{
    private const LOWEST = -11;

    private const HIGHEST = 19;

    private const FILLED = 0.86;

    /** How sure a filled head is that is one alone: what is torn may be two in a second. */
    private const FULL = 0.95;

    /** Columns of ink on the row of a head at most, and of one with the next beside it, a step away. */
    private const ONE = 31;

    private const TWO = 42;

    /** Rows from the middle of a head to where it ends, and columns of ink that it has there. */
    private const END = 6;

    private const NARROW = [4, 20];

    /** Columns between two heads of one stack. */
    private const ABOVE = 5;

    /** Two places of one head that are as likely as each other. */
    private const AS_SURE = 0.012;

    /**
     * @param  int        $from columns before are the clef's, the key's and the time's
     * @param  (Closure(Head): bool)|null $mayBe what is surely of another sign is none, and takes no other's place
     * @return list<Head> from left to right
     */
    public static function of(Strip $strip, int $from, ?Closure $mayBe = null): array
    {
        $found = array_filter([...self::withoutBetween(self::filled($strip, $from)), ...HollowHeads::of($strip, $from)], $mayBe ?? static fn (): bool => true);
        usort($found, static fn (Head $a, Head $b): int => $b->sure <=> $a->sure);
        $kept = [];
        foreach ($found as $head) {
            foreach ($kept as $other) {
                if (abs($other->x - $head->x) < 13 && abs($other->place - $head->place) <= 1) {
                    $near = $head->hollow && $other->hollow && $head->place !== $other->place && $other->sure - $head->sure < self::AS_SURE;
                    $other->doubt = $near ? 'place' : $other->doubt;

                    continue 2;
                }
            }
            if (! $head->hollow && $head->sure < self::FULL) {
                $head->doubt = 'place';
            }
            $head = Ledgers::placed($strip, $head);
            if (Ledgers::hold($strip, $head)) {
                $kept[] = $head;
            }
        }
        usort($kept, static fn (Head $a, Head $b): int => $a->x <=> $b->x);

        return $kept;
    }

    /**
     * Heads a third apart that run together are as black between them as they are: those are the outermost, and every other one.
     *
     * @param  list<Head> $found
     * @return list<Head>
     */
    private static function withoutBetween(array $found): array
    {
        $black = array_filter($found, static fn (Head $head): bool => $head->sure >= self::FULL);
        $isThere = static function (Head $head, int $place) use ($black): bool {
            foreach ($black as $other) {
                if ($other->place === $place && abs($other->x - $head->x) <= self::ABOVE) {
                    return true;
                }
            }

            return false;
        };

        return array_values(array_filter($found, static function (Head $head) use ($isThere): bool {
            [$below, $above] = [0, 0];
            while ($isThere($head, $head->place - $below - 1)) {
                $below++;
            }
            while ($isThere($head, $head->place + $above + 1)) {
                $above++;
            }

            return $below % 2 === 0 || ($below + $above) % 2 === 1;
        }));
    }

    /** @return list<Head> */
    private static function filled(Strip $strip, int $from): array
    {
        $mask = self::mask();
        $area = array_sum(array_map(static fn (array $row): int => $row[2], $mask));
        $found = [];
        for ($place = self::LOWEST; $place <= self::HIGHEST; $place++) {
            $row = Strip::row($place);
            foreach ([0, -2, 2] as $shift) {
                $line = $strip->bareRows[$row + $shift] ?? '';
                $at = $from;
                $length = strlen($line);
                while ($at < $length && ($at += strcspn($line, "\1", $at)) < $length) {
                    $run = strspn($line, "\1", $at);
                    if ($run >= 11 && $run <= self::TWO) {
                        $best = self::best($strip, $row + $shift, $at + 5, $at + $run - 5, $mask);
                        $isHead = $run <= self::ONE ? $best[1] >= self::FILLED * $area : $best[1] >= self::FULL * $area && self::isOfTwo($strip, $row + $shift, (int) $best[0]);
                        if ($isHead) {
                            $found[] = new Head($best[0], $place, false, 18.0, $best[1] / $area - abs($shift) * 0.01);
                        }
                    }
                    $at += $run;
                }
            }
        }

        return $found;
    }

    /** A head with another one beside it, a step higher or lower, is narrow where that one is not; a beam is as wide there. */
    private static function isOfTwo(Strip $strip, int $row, int $x): bool
    {
        $narrow = 99;
        foreach ([-self::END, self::END] as $dy) {
            $line = $strip->bareRows[$row + $dy] ?? '';
            $at = $x - (int) (0.45 * $dy);
            $narrow = min($narrow, strspn($line, "\1", $at) + strspn(strrev(substr($line, 0, $at)), "\1"));
        }

        return $narrow >= self::NARROW[0] && $narrow <= self::NARROW[1];
    }

    /**
     * @param  list<array{int, int, int}> $mask
     * @return array{float, int} where the most ink is, and how much
     */
    private static function best(Strip $strip, int $row, int $from, int $to, array $mask): array
    {
        $most = 0;
        $sum = 0;
        $times = 0;
        for ($x = $from; $x <= $to; $x++) {
            $ink = 0;
            foreach ($mask as [$dy, $dx, $width]) {
                $ink += Strip::ink($strip->bareRows[$row + $dy] ?? '', $x + $dx, $width);
            }
            if ($ink > $most) {
                [$most, $sum, $times] = [$ink, $x, 1];
            } elseif ($ink === $most) {
                $sum += $x;
                $times++;
            }
        }

        return [$times === 0 ? (float) $from : $sum / $times, $most];
    }

    /** @return list<array{int, int, int}> row, first column and how many, from the middle; leaning as heads do */
    private static function mask(): array
    {
        $mask = [];
        for ($dy = -6; $dy <= 6; $dy++) {
            $half = 8.6 * sqrt(1 - ($dy / 6.7) ** 2);
            $middle = -0.45 * $dy;
            $left = (int) ceil($middle - $half);
            $mask[] = [$dy, $left, (int) floor($middle + $half) - $left + 1];
        }

        return $mask;
    }
}

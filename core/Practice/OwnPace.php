<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Fraction;

/** How long a student takes beside what is reckoned: the median of the last twenty tasks that were measured at home (trade 9.5). */
final class OwnPace
{
    /** Tasks that it takes to say anything. */
    public const FROM = 8;

    public const LAST = 20;

    /** In percent. */
    public const LEAST = 50;

    public const MOST = 300;

    /** Seconds without a touch that are still practice; a longer pause is left out. */
    public const LONGEST_PAUSE = 180;

    /** Seconds: what is ticked sooner was practised without the screen. */
    public const SHORTEST = 20;

    private const HALF_MINUTE = 30;

    /** @param int $percent of what is reckoned */
    public static function share(int $percent): Fraction
    {
        return Fraction::of($percent, 100);
    }

    /**
     * @param  list<array{int, Fraction}>  $measured  seconds it took, and half minutes that are reckoned for anybody, above zero; in order
     * @return ?int in percent; null while too few were measured
     */
    public static function of(array $measured): ?int
    {
        $measured = array_values(array_filter($measured, static fn (array $one): bool => $one[0] >= self::SHORTEST));
        if (count($measured) < self::FROM) {
            return null;
        }
        $shares = array_map(
            static fn (array $one): Fraction => Fraction::of($one[0] * 100)->dividedBy($one[1]->times(Fraction::of(self::HALF_MINUTE))),
            array_slice($measured, -self::LAST),
        );
        usort($shares, static fn (Fraction $a, Fraction $b): int => $a->compare($b));
        $middle = intdiv(count($shares), 2);
        $median = count($shares) % 2 === 1 ? $shares[$middle] : $shares[$middle - 1]->plus($shares[$middle])->dividedBy(Fraction::of(2));

        return max(self::LEAST, min(self::MOST, $median->plus(Fraction::of(1, 2))->floor()));
    }
}

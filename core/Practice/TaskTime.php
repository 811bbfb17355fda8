<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Fraction;

/** How long a task takes, in half minutes rounded up (handbook 9). */
final readonly class TaskTime
{
    /** One minute. */
    public const LEAST = 2;

    private const RESET_SECONDS = 4;

    private const SECONDS_A_NOTE = 3;

    private const HALF_MINUTE = 30;

    /**
     * @param  list<array{Fraction, int}>  $parts  beats played and counts of the count-in, for each chunk
     * @param  int  $tempo  beats a minute, above zero
     */
    public static function playing(int $repetitions, array $parts, int $tempo): int
    {
        $seconds = Fraction::zero();
        foreach ($parts as [$beats, $countIn]) {
            $seconds = $seconds
                ->plus($beats->plus(Fraction::of($countIn))->times(Fraction::of(60, $tempo)))
                ->plus(Fraction::of(self::RESET_SECONDS));
        }

        return self::inHalfMinutes($seconds->times(Fraction::of($repetitions)));
    }

    public static function naming(int $notes): int
    {
        return self::inHalfMinutes(Fraction::of($notes * self::SECONDS_A_NOTE));
    }

    private static function inHalfMinutes(Fraction $seconds): int
    {
        return max(self::LEAST, $seconds->dividedBy(Fraction::of(self::HALF_MINUTE))->ceil());
    }
}

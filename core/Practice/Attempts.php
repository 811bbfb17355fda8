<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Fraction;

/** How often something is done on one day: what it takes, not what counts (trade 9.3). Of three in a row six, four when it goes on. */
final class Attempts
{
    /** The tempo ladder is climbed so many rungs a day. */
    public const RUNGS_A_DAY = 2;

    /**
     * @param  int  $repetitions  that count, as of three in a row three
     * @param  bool  $isFirstDay  it is met
     */
    public static function of(TaskClass $class, int $repetitions, bool $isFirstDay): Fraction
    {
        [$first, $later] = match ($class) {
            TaskClass::Playing => [Fraction::of(2), Fraction::of(4, 3)],
            TaskClass::Remedy => [Fraction::of(5, 3), Fraction::of(5, 3)],
            TaskClass::Preparation => [Fraction::of(2), Fraction::of(1)],
            default => [Fraction::of(1), Fraction::of(1)],
        };

        return Fraction::of($repetitions)->times($isFirstDay ? $first : $later);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Piece;

/** How long a task takes, in half minutes rounded up (trade 9.3). */
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

    /**
     * The same for ranges of whole bars of a piece, as they are written.
     *
     * @param  list<array{int, int}>  $ranges  first and last index of a measure
     */
    public static function ofBars(Piece $piece, array $ranges, int $repetitions, int $tempo): int
    {
        $parts = [];
        foreach ($ranges as [$first, $last]) {
            $measure = $piece->measures[$first] ?? throw InvalidScore::noMeasure($first);
            $countIn = CountIn::for($measure->meter, $measure->pickup ? $measure->length : Fraction::zero());
            $parts[] = [PlayOrder::tempoBeats($piece, ...range($first, min($last, count($piece->measures) - 1))), count($countIn->counts)];
        }

        return self::playing($repetitions, $parts, $tempo);
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

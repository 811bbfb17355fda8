<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Piece;

/** How long a task takes on a day, in half minutes rounded up: on the first day ever, and when it goes on (trade 9.3). */
final readonly class TaskTimes
{
    /** One minute. */
    public const LEAST = 2;

    /** For each chunk that is played. */
    private const FIND_SECONDS = 20;

    private const RESET_SECONDS = 4;

    private const SECONDS_A_NOTE = 3;

    private const HALF_MINUTE = 30;

    /**
     * @param  int  $first  half minutes on its first day
     * @param  int  $later  half minutes on every other day
     */
    public function __construct(public int $first, public int $later) {}

    /** The same on every day. */
    public static function always(int $halfMinutes): self
    {
        return new self($halfMinutes, $halfMinutes);
    }

    /** @param int $notes that are named, once through; twice on the first day */
    public static function naming(int $notes): self
    {
        return new self(...array_map(
            static fn (bool $isFirst): int => self::inHalfMinutes(Attempts::of(TaskClass::Preparation, $notes * self::SECONDS_A_NOTE, $isFirst)),
            [true, false],
        ));
    }

    /**
     * @param  int  $repetitions  that count, of each chunk
     * @param  list<array{Fraction, int}>  $parts  beats played and counts of the count-in, for each chunk
     * @param  non-empty-list<int>  $tempi  beats a minute, above zero: several for a ladder, whose rungs are climbed on one day
     */
    public static function of(TaskClass $class, int $repetitions, array $parts, array $tempi): self
    {
        $once = Fraction::zero();
        foreach ($parts as [$beats, $countIn]) {
            foreach ($tempi as $tempo) {
                $once = $once->plus($beats->plus(Fraction::of($countIn))->times(Fraction::of(60, $tempo)))->plus(Fraction::of(self::RESET_SECONDS));
            }
        }
        $finding = Fraction::of($class->prepares() ? 0 : self::FIND_SECONDS * count($parts));
        // What is climbed is as much on each day, rung by rung.
        $attempts = static fn (bool $isFirst): Fraction => count($tempi) > 1 ? Fraction::of($repetitions) : Attempts::of($class, $repetitions, $isFirst);

        return new self(...array_map(static fn (bool $isFirst): int => self::inHalfMinutes($finding->plus($once->times($attempts($isFirst)))), [true, false]));
    }

    /**
     * The same for ranges of whole bars of a piece, as they are written.
     *
     * @param  list<array{int, int}>  $ranges  first and last index of a measure
     * @param  non-empty-list<int>  $tempi  beats a minute
     */
    public static function ofBars(Piece $piece, array $ranges, TaskClass $class, int $repetitions, array $tempi): self
    {
        $parts = [];
        foreach ($ranges as [$first, $last]) {
            $measure = $piece->measures[$first] ?? throw InvalidScore::noMeasure($first);
            $countIn = CountIn::for($measure->meter, $measure->pickup ? $measure->length : Fraction::zero());
            $parts[] = [PlayOrder::tempoBeats($piece, ...range($first, min($last, count($piece->measures) - 1))), count($countIn->counts)];
        }

        return self::of($class, $repetitions, $parts, $tempi);
    }

    /** The same for a student who takes another time than is reckoned: that share of it. */
    public function atPace(Fraction $pace): self
    {
        $at = static fn (int $halfMinutes): int => max(self::LEAST, Fraction::of($halfMinutes)->times($pace)->ceil());

        return new self($at($this->first), $at($this->later));
    }

    private static function inHalfMinutes(Fraction $seconds): int
    {
        return max(self::LEAST, $seconds->dividedBy(Fraction::of(self::HALF_MINUTE))->ceil());
    }
}

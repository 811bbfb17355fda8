<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Practice\Median;

/**
 * The student's own beat: when each moment came, and how long a quarter lasts around it, from what was played itself.
 */
final readonly class OwnBeat
{
    /** Gaps on either side that a quarter is taken from. */
    private const AROUND = 6;

    /** A gap is taken between moments so far apart, so that a late key does not make the beat. */
    private const SPANS = [1, 2, 3];

    /** What nobody plays slower or faster, in milliseconds a quarter. */
    private const SLOWEST = 4_000;

    private const FASTEST = 150;

    private const USUAL = 750;

    /**
     * @param  array<int, int>  $at  milliseconds, by moment; those that sounded
     * @param  array<int, int>  $quarters  milliseconds of a quarter, by moment
     * @param  bool  $known  there were two moments to take it from; else it is a usual one
     */
    private function __construct(public array $at, public array $quarters, public bool $known) {}

    /** @param list<TakenNote> $taken */
    public static function of(WrittenMusic $music, Alignment $alignment, array $taken): self
    {
        $at = [];
        foreach ($music->moments as $m => $moment) {
            foreach ($moment->notes as $written) {
                if (isset($alignment->played[$written])) {
                    $at[$m] = min($at[$m] ?? PHP_INT_MAX, $taken[$alignment->played[$written]]->at);
                }
            }
        }

        $slopes = self::slopes($music, $alignment, $at);

        return new self($at, self::quartersOf(array_keys($at), $slopes), $slopes !== []);
    }

    /**
     * A quarter at each note of a take, by the moments that sounded around it.
     *
     * @param  list<TakenNote>  $taken
     * @return list<int>
     */
    public function atEach(array $taken): array
    {
        $known = [];
        foreach ($this->at as $moment => $at) {
            $known[$at] = $this->quarters[$moment];
        }
        ksort($known);
        $times = array_keys($known);
        $quarters = array_values($known);
        $each = [];
        $i = 0;
        foreach ($taken as $note) {
            while (isset($times[$i + 1]) && abs($times[$i + 1] - $note->at) <= abs($times[$i] - $note->at)) {
                $i++;
            }
            $each[] = $quarters[$i] ?? 0;
        }

        return $each;
    }

    /** The middle of all, in milliseconds a quarter. */
    public function usual(): int
    {
        return Median::between(array_values($this->quarters)) ?? self::USUAL;
    }

    /**
     * Milliseconds a quarter from each moment to those after it, in a stretch without a jump.
     *
     * @param  array<int, int>  $at
     * @return array<int, list<int>> by the place of the first in what sounded
     */
    private static function slopes(WrittenMusic $music, Alignment $alignment, array $at): array
    {
        $moments = array_keys($at);
        $slopes = [];
        foreach ($moments as $i => $moment) {
            foreach (self::SPANS as $span) {
                $next = $moments[$i + $span] ?? null;
                if ($next === null || $alignment->runs[$next] !== $alignment->runs[$moment]) {
                    break;
                }
                $ticks = $music->moments[$next]->tick - $music->moments[$moment]->tick;
                $slope = intdiv(($at[$next] - $at[$moment]) * WrittenMusic::QUARTER, $ticks);
                if ($slope >= self::FASTEST && $slope <= self::SLOWEST) {
                    $slopes[$i][] = $slope;
                }
            }
        }

        return $slopes;
    }

    /**
     * @param  list<int>  $moments
     * @param  array<int, list<int>>  $slopes
     * @return array<int, int>
     */
    private static function quartersOf(array $moments, array $slopes): array
    {
        $all = Median::between(array_merge(...array_values($slopes))) ?? self::USUAL;
        $quarters = [];
        foreach ($moments as $i => $moment) {
            $near = [];
            for ($k = $i - self::AROUND; $k < $i + self::AROUND; $k++) {
                array_push($near, ...($slopes[$k] ?? []));
            }
            $quarters[$moment] = Median::between($near) ?? $all;
        }

        return $quarters;
    }
}

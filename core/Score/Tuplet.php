<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** So many notes in the time of so many: 3 in the time of 2 is a triplet. */
final readonly class Tuplet
{
    private const USUAL = [[3, 2], [5, 4], [6, 4], [7, 4], [9, 8]];

    /**
     * @param  bool  $starts  its bracket begins at this event
     * @param  bool  $stops  and ends with it
     *
     * @throws InvalidScore when either number is below 1 or above 32
     */
    public function __construct(public int $actual, public int $normal, public bool $starts = false, public bool $stops = false)
    {
        if (min($actual, $normal) < 1 || max($actual, $normal) > 32) {
            throw InvalidScore::noTuplet($actual, $normal);
        }
    }

    /** The plainest tuplet in which this length is one note; null when it needs none, or there is none. */
    public static function fitting(Duration $length): ?self
    {
        if ($length->asNote() !== null) {
            return null;
        }
        foreach (self::USUAL as [$actual, $normal]) {
            $tuplet = new self($actual, $normal);
            if (Duration::ofWhole($length->whole->dividedBy($tuplet->ratio()))->asNote() !== null) {
                return $tuplet;
            }
        }

        return null;
    }

    /** What a written length is multiplied by to get the length that sounds. */
    public function ratio(): Fraction
    {
        return Fraction::of($this->normal, $this->actual);
    }
}

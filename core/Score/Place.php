<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A measure and a beat, as a teacher says them: measure 2, beat 3 and a half is `2.3+1/2`. */
final readonly class Place implements \Stringable
{
    /** @param Fraction $beats beats counted from the start of the measure: 0 is beat one */
    public function __construct(public int $measure, public Fraction $beats) {}

    public static function start(int $measure): self
    {
        return new self($measure, Fraction::zero());
    }

    public function __toString(): string
    {
        $part = $this->beats->part();

        return $this->measure.'.'.($this->beats->floor() + 1).($part->isZero() ? '' : "+{$part}");
    }
}

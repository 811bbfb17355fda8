<?php

declare(strict_types=1);

namespace App\Demo;

/** What a year of plans came to. */
final class YearFigures
{
    public int $weeks = 0;

    /** Half minutes that there were, that were planned and filled, and that were left to the student's own choice. */
    public int $minutes = 0;

    public int $used = 0;

    public int $choice = 0;

    public int $broken = 0;

    public int $overfull = 0;

    /** Days of six minutes and more. */
    public int $withoutWarmUp = 0;

    /** Pages opened in a week with a day of ten minutes, and those of them with no playing in it. */
    public int $opened = 0;

    public int $openedWithoutPlaying = 0;

    /** Weeks for which a stage that was asked had no day, one after another. */
    public int $longestWait = 0;

    /** Weeks beyond its day, while at most four were due. */
    public int $latestReview = 0;

    public function add(self $other): void
    {
        foreach (['weeks', 'minutes', 'used', 'choice', 'broken', 'overfull', 'withoutWarmUp', 'opened', 'openedWithoutPlaying'] as $sum) {
            $this->{$sum} += $other->{$sum};
        }
        $this->longestWait = max($this->longestWait, $other->longestWait);
        $this->latestReview = max($this->latestReview, $other->latestReview);
    }

    /** Of what could be planned; what the student chooses is not asked of anybody. */
    public function share(): float
    {
        return $this->minutes === 0 ? 1.0 : $this->used / $this->minutes;
    }
}

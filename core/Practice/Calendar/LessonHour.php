<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Calendar;

/** When a lesson is, on its day. One that ends as another begins does not meet it. */
final readonly class LessonHour
{
    private const HOUR = 60;

    private int $from;

    /**
     * @param  string  $begins  as 15:30
     * @param  int  $minutes  at least 1
     *
     * @throws \InvalidArgumentException for anything else
     */
    public function __construct(string $begins, private int $minutes)
    {
        if (preg_match('/^([01]\d|2[0-3]):([0-5]\d)/', $begins, $found) !== 1 || $minutes < 1) {
            throw new \InvalidArgumentException("a lesson at {$begins} for {$minutes} minutes");
        }
        $this->from = self::HOUR * (int) $found[1] + (int) $found[2];
    }

    /** Whether one teacher would have to be at both. */
    public function meets(self $other): bool
    {
        return $this->from < $other->from + $other->minutes && $other->from < $this->from + $this->minutes;
    }

    /** `15:30 to 16:00`; past midnight it is the next day's time. */
    public function words(): string
    {
        return self::clock($this->from).' to '.self::clock($this->from + $this->minutes);
    }

    private static function clock(int $minutes): string
    {
        return sprintf('%02d:%02d', intdiv($minutes, self::HOUR) % 24, $minutes % self::HOUR);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Calendar;

/** The days of a student's lessons: every week on the same weekdays, but for holidays, moved and extra lessons (trade 11.5). */
final readonly class Timetable
{
    /** Days that are looked through for a lesson: more than the longest holiday. */
    private const FAR = 400;

    /**
     * @param  list<int>  $weekdays  1 Monday to 7 Sunday
     * @param  list<array{string, string}>  $free  first and last date of each time without lessons
     * @param  array<string, ?string>  $moved  by the date of the timetable: the date it is held on, or null when it is cancelled
     * @param  list<string>  $extra  dates of make-up lessons
     */
    public function __construct(private array $weekdays, private array $free = [], private array $moved = [], private array $extra = []) {}

    /** The next lesson on a date or after it; null when none is in sight. */
    public function onOrAfter(string $date): ?string
    {
        $day = new \DateTimeImmutable($date);
        for ($far = 0; $far < self::FAR; $far++) {
            if ($this->isLesson($day)) {
                return $day->format('Y-m-d');
            }
            $day = $day->modify('+1 day');
        }

        return null;
    }

    /** @return list<string> the dates of lessons from one date to another */
    public function between(string $from, string $to): array
    {
        $dates = [];
        for ($next = $this->onOrAfter($from); $next !== null && $next <= $to; $next = $this->onOrAfter((new \DateTimeImmutable($next))->modify('+1 day')->format('Y-m-d'))) {
            $dates[] = $next;
        }

        return $dates;
    }

    private function isLesson(\DateTimeImmutable $day): bool
    {
        $date = $day->format('Y-m-d');
        // What the teacher has agreed upon stands, holiday or not.
        if (in_array($date, $this->extra, true) || in_array($date, $this->moved, true)) {
            return true;
        }

        return in_array((int) $day->format('N'), $this->weekdays, true) && ! array_key_exists($date, $this->moved) && ! $this->isFree($date);
    }

    private function isFree(string $date): bool
    {
        foreach ($this->free as [$from, $to]) {
            if ($date >= $from && $date <= $to) {
                return true;
            }
        }

        return false;
    }
}

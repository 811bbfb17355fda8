<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/** A task that asks for days of a week. */
final readonly class PlanTask
{
    /** What the first, second and third meeting count, and each later one, in eighths of the value (trade 11.2). */
    public const EIGHTHS = [8, 4, 2, 1];

    /** @var int on its first day, in half minutes */
    public int $halfMinutesFirst;

    /**
     * @param  string  $id  unique in the week
     * @param  int  $halfMinutes  what it takes each day
     * @param  list<string>  $waitsFor  ids of tasks that come earlier: playing on an earlier day, what prepares it on the same day at the latest
     * @param  bool  $isNew  the student has not met it before
     * @param  bool  $starred  the teacher's star doubles its value
     * @param  int  $idleDays  how long ago it was last played, for reviews
     * @param  bool  $leads  it goes first in its day among its like: the hand that needs more
     * @param  list<string>  $locked  dates it stands on whatever else is planned
     * @param  list<string>  $off  dates it does not stand on
     * @param  int  $practised  days of this week it was done on already; they are not among the days planned
     * @param  list<string>  $stood  dates it stood on before a change; they are kept where little is lost by it
     * @param  ?int  $mostDays  it is wanted on no more; null where its class alone says
     * @param  ?int  $worth  its value, where its class does not say
     * @param  ?string  $page  the page it is of
     * @param  bool  $begun  a playing stage of its page was passed, or is going on
     * @param  bool  $older  its page was opened first of those that are not signed off
     * @param  ?int  $halfMinutesFirst  on its first day, where that takes longer
     * @param  bool  $performed  it is played at a concert soon: it stands on every day
     */
    public function __construct(
        public string $id,
        public TaskClass $class,
        public int $halfMinutes,
        public array $waitsFor = [],
        public bool $isNew = false,
        public bool $starred = false,
        public int $idleDays = 0,
        public bool $leads = false,
        public array $locked = [],
        public array $off = [],
        public int $practised = 0,
        public array $stood = [],
        public ?int $mostDays = null,
        public ?int $worth = null,
        public ?string $page = null,
        public bool $begun = false,
        public bool $older = false,
        ?int $halfMinutesFirst = null,
        public bool $performed = false,
    ) {
        $this->halfMinutesFirst = $isNew && $practised === 0 ? $halfMinutesFirst ?? $halfMinutes : $halfMinutes;
    }

    /**
     * The same task in a week that is planned again.
     *
     * @param  list<string>  $stood  dates it stands on now
     * @param  list<string>  $off  dates it is taken off, also where it was locked
     */
    public function again(array $stood, array $off = []): self
    {
        return new self(
            $this->id,
            $this->class,
            $this->halfMinutes,
            $this->waitsFor,
            $this->isNew,
            $this->starred,
            $this->idleDays,
            $this->leads,
            array_values(array_diff($this->locked, $off)),
            [...$this->off, ...$off],
            $this->practised,
            $stood,
            $this->mostDays,
            $this->worth,
            $this->page,
            $this->begun,
            $this->older,
            $this->halfMinutesFirst,
            $this->performed,
        );
    }

    public function halfMinutesOn(bool $isFirstDay): int
    {
        return $isFirstDay ? $this->halfMinutesFirst : $this->halfMinutes;
    }

    public function value(): int
    {
        return ($this->worth ?? $this->class->value($this->older)) * ($this->starred ? 2 : 1);
    }

    /**
     * @param  int  $days  that there are
     * @return list<int> what each further meeting counts, in eighths of one
     */
    public function gains(int $days): array
    {
        $gains = [];
        $most = min($days + $this->practised, $this->mostDays ?? PHP_INT_MAX, $this->class === TaskClass::Glance ? 1 : PHP_INT_MAX);
        for ($meeting = $this->practised; $meeting < $most; $meeting++) {
            $counts = $meeting < $this->class->daysThatCount();
            $gains[] = $counts ? $this->value() * (self::EIGHTHS[$meeting] ?? 1) : 0;
        }
        // What no longer counts asks for no more days.
        while ($gains !== [] && $gains[count($gains) - 1] === 0) {
            array_pop($gains);
        }

        return $gains;
    }

    /** The run as at a concert, of all its pieces; it is done once a day. */
    public function isRun(): bool
    {
        return $this->performed && $this->page === null;
    }

    /** New work is met on two days, where it is wanted on as many (rule 4). */
    public function isMetTwice(): bool
    {
        return $this->isMet() && $this->class->isWork() && ($this->mostDays ?? 2) > 1;
    }

    /** It is met for the first time this week, and would be met for the first time at all. */
    public function isMet(): bool
    {
        return $this->isNew && $this->practised === 0;
    }
}

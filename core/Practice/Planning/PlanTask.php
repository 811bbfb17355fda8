<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskKind;

/** A task that asks for days of a week. */
final readonly class PlanTask
{
    /** What the first, second and third meeting count, in quarters of the value; later ones nothing (trade 11.2). */
    public const QUARTERS = [4, 2, 1];

    /**
     * @param  string  $id  unique in the week
     * @param  int  $halfMinutes  what it takes each day
     * @param  list<string>  $waitsFor  ids of tasks whose first day comes earlier
     * @param  bool  $isNew  the student has not met it before
     * @param  bool  $starred  the teacher's star doubles its value
     * @param  int  $idleDays  how long ago it was last played, for reviews
     * @param  bool  $leads  it goes first in its day among its like: the hand that needs more
     * @param  list<string>  $locked  dates it stands on whatever else is planned
     * @param  list<string>  $off  dates it does not stand on
     * @param  int  $practised  days of this week it was done on already; they are not among the days planned
     * @param  list<string>  $stood  dates it stood on before a change; they are kept where nothing is lost by it
     * @param  int  $mostDays  it is wanted on no more
     * @param  ?int  $worth  its value, where its kind does not say
     */
    public function __construct(
        public string $id,
        public TaskKind $kind,
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
        public int $mostDays = 3,
        public ?int $worth = null,
    ) {}

    public function value(): int
    {
        return ($this->worth ?? $this->kind->value()) * ($this->starred ? 2 : 1);
    }

    /** @return list<int> what each further meeting counts, in quarters */
    public function gains(): array
    {
        return array_map(fn (int $quarters): int => $quarters * $this->value(), array_slice(self::QUARTERS, $this->practised, max(0, $this->mostDays - $this->practised)));
    }

    /** New work is met on two days, where it is wanted on as many (rule 4). */
    public function isMetTwice(): bool
    {
        return $this->isMet() && $this->kind->isWork() && $this->mostDays > 1;
    }

    /** It is met for the first time this week, and would be met for the first time at all. */
    public function isMet(): bool
    {
        return $this->isNew && $this->practised === 0;
    }
}

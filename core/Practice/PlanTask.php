<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** A task that asks for days of a week. */
final readonly class PlanTask
{
    /**
     * @param  string  $id  unique in the week
     * @param  int  $halfMinutes  what it takes each day
     * @param  list<string>  $waitsFor  ids of tasks whose first day comes earlier
     * @param  bool  $isNew  the student has not met it before
     * @param  bool  $starred  the teacher's star doubles its value
     * @param  int  $idleDays  how long ago it was last played, for reviews
     * @param  bool  $leads  it goes first in its day among its like: the hand that needs more
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
    ) {}

    public function value(): int
    {
        return $this->kind->value() * ($this->starred ? 2 : 1);
    }
}

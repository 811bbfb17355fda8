<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** What a plan is asked for: the days there are, the tasks that ask for them, how much a day bears. */
final readonly class Week
{
    /** Tasks a day beside the warm-up, where nobody says. */
    public const USUAL_TASKS = 9;

    /** Half minutes that filling adds to one task of a day at most. */
    public const USUAL_MORE = 20;

    /**
     * @param  list<PlanDay>  $days  in order, those with time to practise that are not over
     * @param  list<PlanTask>  $tasks
     * @param  int  $mostNew  new things a day
     * @param  ?string  $until  the date of the next lesson
     * @param  int  $mostTasks  tasks a day beside the warm-up and glances
     * @param  int  $mostMore  half minutes that filling adds to one task of a day
     */
    public function __construct(
        public array $days,
        public array $tasks,
        public int $mostNew,
        public ?string $until = null,
        public int $mostTasks = self::USUAL_TASKS,
        public int $mostMore = self::USUAL_MORE,
    ) {}

    /** The next lesson, as a weekday. */
    public function ends(): string
    {
        return $this->until === null ? 'the next lesson' : (new \DateTimeImmutable($this->until))->format('l');
    }

    /** The most new things a day: before a performance half of them (trade 11.5). */
    public function newADay(): int
    {
        foreach ($this->tasks as $task) {
            if ($task->performed) {
                return intdiv($this->mostNew, 2);
            }
        }

        return $this->mostNew;
    }
}

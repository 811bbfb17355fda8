<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** What a plan is asked for: the days there are, the tasks that ask for them, the new things a day. */
final readonly class Week
{
    /**
     * @param  list<PlanDay>  $days  in order, those with time to practise that are not over
     * @param  list<PlanTask>  $tasks
     * @param  ?string  $until  the date of the next lesson
     */
    public function __construct(public array $days, public array $tasks, public int $mostNew, public ?string $until = null) {}

    /** The next lesson, as a weekday. */
    public function ends(): string
    {
        return $this->until === null ? 'the next lesson' : (new \DateTimeImmutable($this->until))->format('l');
    }
}

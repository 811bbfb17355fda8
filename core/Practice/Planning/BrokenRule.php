<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

/** A rule that the days of a week break, with the day and the task it is told at. */
final readonly class BrokenRule implements \JsonSerializable
{
    /**
     * @param  string  $text  what is wrong, and what to do
     * @param  bool  $ofDay  the day is too full, whatever is on it; else it is the task that stands wrongly
     * @param  int  $over  how much too full, in what the rule counts
     */
    private function __construct(public string $date, public string $task, public string $text, private string $what, private bool $ofDay, private int $over) {}

    public static function onDay(string $date, string $task, string $what, int $over, string $text): self
    {
        return new self($date, $task, $text, $what, true, $over);
    }

    public static function ofTask(string $date, string $task, string $text): self
    {
        return new self($date, $task, $text, $text, false, 1);
    }

    /**
     * It was broken before a change as it is after it, or worse.
     *
     * @param  list<self>  $before
     */
    public function isNoWorseThan(array $before): bool
    {
        foreach ($before as $one) {
            if ($one->what === $this->what && $one->ofDay === $this->ofDay && ($this->ofDay ? $one->date === $this->date : $one->task === $this->task) && $this->over <= $one->over) {
                return true;
            }
        }

        return false;
    }

    /** @return array{date: string, task: string, text: string} */
    public function jsonSerialize(): array
    {
        return ['date' => $this->date, 'task' => $this->task, 'text' => $this->text];
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice\Planning;

use Nasturtium\Core\Practice\TaskClass;

/**
 * What waits for what in a week (rule 3), tasks by their numbers. Playing waits for the playing that it needs, on an
 * earlier day; for what prepares it, on the same day at the latest. What was practised holds nothing up.
 */
final readonly class Waiting
{
    /** @var array<int, list<int>> tasks whose first day is earlier */
    public array $later;

    /** @var array<int, list<int>> tasks whose first day is no later */
    public array $notEarlier;

    /** @var array<int, list<int>> of preparation: the hands together of its page, after whose first day it does not stand */
    public array $together;

    /** @var array<int, list<int>> of preparation of a page that is not begun: its playing, of which some stands */
    public array $playing;

    /** @var array<int, list<int>> of tasks of a page: its glances, which are no later where they stand */
    public array $glances;

    /** @param list<PlanTask> $tasks */
    public function __construct(private array $tasks)
    {
        $at = array_flip(array_column($tasks, 'id'));
        $later = $notEarlier = $together = $playing = $glances = array_fill(0, count($tasks), []);
        foreach ($tasks as $task => $of) {
            foreach ($of->practised > 0 ? [] : $of->waitsFor as $id) {
                $for = $at[$id] ?? null;
                if ($for === null || $tasks[$for]->practised > 0) {
                    continue;
                }
                if ($tasks[$for]->class->prepares() || $of->class->prepares()) {
                    $notEarlier[$task][] = $for;
                } else {
                    $later[$task][] = $for;
                }
            }
        }
        foreach ($tasks as $task => $of) {
            foreach ($of->page === null ? [] : $tasks as $other => $also) {
                if ($also->page !== $of->page || $other === $task) {
                    continue;
                }
                $isPreparation = $of->class === TaskClass::Preparation && $of->practised === 0;
                if ($isPreparation && $also->class === TaskClass::Playing) {
                    if (! $of->begun && $of->isNew) {
                        $playing[$task][] = $other;
                    }
                    if ($also->isMet() && $this->needsPlaying($also, $at)) {
                        $together[$task][] = $other;
                    }
                }
                if ($also->class === TaskClass::Glance && $of->class !== TaskClass::Glance && $of->practised === 0 && $also->practised === 0) {
                    $glances[$task][] = $other;
                }
            }
        }
        $this->later = $later;
        $this->notEarlier = $notEarlier;
        $this->together = $together;
        $this->playing = $playing;
        $this->glances = $glances;
    }

    /** @return list<int> all that a task waits for, what may come on its day first */
    public function of(int $task): array
    {
        return [...$this->notEarlier[$task], ...$this->later[$task]];
    }

    /**
     * Hands together wait for hands apart.
     *
     * @param  array<array-key, int>  $at  numbers by id
     */
    private function needsPlaying(PlanTask $task, array $at): bool
    {
        foreach ($task->waitsFor as $id) {
            if (isset($at[$id]) && $this->tasks[$at[$id]]->class === TaskClass::Playing) {
                return true;
            }
        }

        return false;
    }
}

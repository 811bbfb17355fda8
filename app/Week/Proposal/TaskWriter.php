<?php

declare(strict_types=1);

namespace App\Week\Proposal;

use App\Student\Learning\StageBars;
use App\Week\Task;
use App\Week\TaskBars;
use App\Week\Week;
use Illuminate\Support\Collection;
use Nasturtium\Core\Practice\OwnPace;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Measure;

/** Writes the tasks of a week that is proposed, with the times that its student takes. */
final readonly class TaskWriter
{
    /** @param int $pace of the student, in percent of what is reckoned */
    public function __construct(public Week $week, private int $pace) {}

    /**
     * What is played or prepared: it takes as long as the student takes.
     *
     * @param  array<string, mixed>  $more  columns
     */
    public function work(TaskKind $kind, string $title, string $instruction, TaskTimes $times, array $more = []): Task
    {
        return $this->write($kind, $title, $instruction, $this->atPace($times), [...$more, 'pace' => $this->pace]);
    }

    /**
     * What takes its own minutes, whoever does it.
     *
     * @param  array<string, mixed>  $more  columns
     */
    public function always(TaskKind $kind, string $title, string $instruction, int $halfMinutes, array $more = []): Task
    {
        return $this->write($kind, $title, $instruction, TaskTimes::always($halfMinutes), $more);
    }

    public function atPace(TaskTimes $times): TaskTimes
    {
        return $times->atPace(OwnPace::share($this->pace));
    }

    /** @return list<int> minutes of the days with time to practise */
    public function practiceMinutes(): array
    {
        return array_values(array_filter($this->week->student->practiceDays->pluck('minutes')->all()));
    }

    /**
     * @param  list<array{int, int}>  $ranges  first and last index of a measure
     * @param  list<Measure>  $measures  of the piece
     */
    public function ranges(Task $task, array $ranges, array $measures): void
    {
        TaskBars::query()->insert(array_map(static fn (array $range, int $position): array => [
            'studio_id' => $task->studio_id,
            'task_id' => $task->id,
            'position' => $position,
            'first' => $range[0],
            'last' => $range[1],
            'from_place' => (string) $measures[$range[0]]->place(Fraction::zero()),
            'to_place' => (string) $measures[$range[1]]->lastBeat(),
        ], $ranges, array_keys($ranges)));
    }

    /** @param Collection<int, StageBars> $bars */
    public function bars(Task $task, Collection $bars): void
    {
        TaskBars::query()->insert(array_values($bars->map(static fn (StageBars $of): array => [
            'studio_id' => $task->studio_id,
            'task_id' => $task->id,
            ...$of->only(['position', 'first', 'last', 'from_place', 'to_place']),
        ])->all()));
    }

    /** @param array<string, mixed> $more */
    private function write(TaskKind $kind, string $title, string $instruction, TaskTimes $times, array $more): Task
    {
        return Task::query()->create([
            'studio_id' => $this->week->studio_id,
            'student_id' => $this->week->student_id,
            'week_id' => $this->week->id,
            'kind' => $kind->value,
            'title' => $title,
            'instruction' => $instruction,
            'half_minutes' => $times->later,
            'half_minutes_first' => $times->first === $times->later ? null : $times->first,
            ...$more,
        ]);
    }
}

<?php

declare(strict_types=1);

namespace App\Week;

use App\Student\Learning\Learning;
use App\Student\Student;
use App\Student\StudentPace;
use App\Week\Patterns\WeekPattern;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;

/** Adds tasks that were given before to a week: those of last week, of a pattern, or of another student's week. */
final class AddTasks
{
    public function __construct(private readonly ReplanWeek $replan) {}

    /** What did not pass last week and is not in this one. */
    public function lastWeek(Week $week, CarbonImmutable $today): int
    {
        $last = Week::query()->where('student_id', $week->student_id)->where('starts_on', '<', $week->starts_on->toDateString())->orderByDesc('starts_on')->first();
        $tasks = $last === null ? collect() : Task::query()->where('week_id', $last->id)
            ->where(static fn ($task) => $task->whereNull('mark')->orWhere('mark', LessonVerdict::Again))
            ->with(['bars', 'stage', 'learning'])->get()
            ->filter(static fn (Task $task): bool => $task->stage?->passed_on === null && ($task->learning === null || $task->learning->state === LearningState::Current));

        return $this->add($week, $tasks, $today);
    }

    public function pattern(Week $week, WeekPattern $pattern, CarbonImmutable $today): int
    {
        $tasks = array_map(static fn (array $of): Task => (new Task([
            'kind' => $of['kind'], 'title' => $of['title'], 'instruction' => $of['instruction'], 'half_minutes' => $of['halfMinutes'],
            'repetitions' => $of['repetitions'], 'most_days' => $of['mostDays'],
        ]))->setRelation('bars', collect()), $pattern->tasks);

        return $this->add($week, collect($tasks), $today);
    }

    /**
     * Gives tasks to another student as well.
     *
     * @param  Collection<int, Task>  $tasks  with their bars and learnings
     * @return string what came of it, in words
     */
    public function copy(Collection $tasks, Student $student): string
    {
        $today = $student->today();
        $week = Week::query()->where('student_id', $student->id)->where('ends_on', '>', $today->toDateString())->orderByDesc('starts_on')->first();
        if ($week === null) {
            return 'no week is planned yet';
        }
        $learnings = Learning::query()->where('student_id', $student->id)->where('state', LearningState::Current)->pluck('id', 'piece_id');
        $able = $tasks->filter(static fn (Task $task): bool => $task->learning === null || $learnings->has($task->learning->piece_id))
            ->map(static fn (Task $task): Task => (clone $task)->forceFill(['learning_id' => $task->learning === null ? null : $learnings->get($task->learning->piece_id), 'stage_id' => null]));
        $added = $this->add($week, $able, $today);

        return match (true) {
            $able->count() < $tasks->count() => $added === 0 ? 'the page is not open' : "{$added} added; a page of the others is not open",
            $added === 0 => 'there already',
            $added === 1 => 'added',
            default => "{$added} added",
        };
    }

    /** @param Collection<int, Task> $tasks */
    private function add(Week $week, Collection $tasks, CarbonImmutable $today): int
    {
        return DB::transaction(function () use ($week, $tasks, $today): int {
            Week::query()->whereKey($week->id)->lockForUpdate()->first();
            $known = $week->tasks()->get()->map(self::nameOf(...))->all();
            $new = $tasks->reject(static fn (Task $task): bool => in_array(self::nameOf($task), $known, true));
            foreach ($new as $task) {
                $copy = $week->tasks()->create([
                    ...$task->only(['stage_id', 'learning_id', 'kind', 'title', 'instruction', 'hand', 'tempo', 'half_minutes', 'half_minutes_first', 'line', 'of_lines']),
                    'pace' => $task->pace ?? StudentPace::USUAL,
                    'repetitions' => $task->repetitions ?? 1,
                    'most_days' => $task->most_days ?? 3,
                    'why' => $task->exists ? 'given before' : 'of a pattern',
                    'studio_id' => $week->studio_id,
                    'student_id' => $week->student_id,
                ]);
                TaskBars::query()->insert(array_values($task->bars->map(static fn (TaskBars $bars): array => [
                    ...$bars->only(['position', 'first', 'last', 'from_place', 'to_place']), 'studio_id' => $week->studio_id, 'task_id' => $copy->id,
                ])->all()));
            }
            if ($new->isNotEmpty()) {
                ($this->replan)($week, $today);
            }

            return $new->count();
        });
    }

    private static function nameOf(Task $task): string
    {
        return $task->stage_id === null ? "{$task->kind->value} {$task->learning_id} {$task->title}" : "stage {$task->stage_id} {$task->line}";
    }
}

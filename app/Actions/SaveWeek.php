<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Learning;
use App\Models\Task;
use App\Models\TaskBars;
use App\Models\TaskDay;
use App\Models\Week;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Practice\PlanTask;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\TaskTime;
use Nasturtium\Core\Practice\WeekPlanner;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Piece as Score;

/**
 * Saves a week as the teacher left it: moved, added, removed, changed. The rules of the plan are in force; a week
 * that breaks one is refused whole, with the day and the reason. A removed task can be put back by its id.
 *
 * @phpstan-type TaskInput array{id: int|null, kind: string, title: string, instruction: string, learningId: int|null, hand: string|null, first: int|null, last: int|null, repetitions: int, tempo: int|null, minutes: float|null, starred: bool, dates: list<string>}
 */
final class SaveWeek
{
    /** @var array<int, Score> pieces by learning, read once */
    private array $scores = [];

    /** @param list<TaskInput> $input */
    public function __invoke(Week $week, array $input, CarbonImmutable $today): Week
    {
        return DB::transaction(function () use ($week, $input, $today): Week {
            Week::query()->whereKey($week->id)->lockForUpdate()->first();
            $kept = [];
            foreach ($input as $given) {
                $task = $this->task($week, $given);
                $this->days($task, $given['dates']);
                $kept[] = $task->id;
            }
            $week->tasks()->whereNotIn('id', $kept)->delete();
            $week = $week->refresh()->load(WeekDays::RELATIONS);
            $this->holdAgainstTheRules($week, $today);
            $this->sortDays($week);

            return $week->refresh();
        });
    }

    /** @param TaskInput $given */
    private function task(Week $week, array $given): Task
    {
        $task = $given['id'] === null ? new Task() : Task::withTrashed()->where('week_id', $week->id)->findOrFail($given['id']);
        if ($task->trashed()) {
            $task->restore();
        }
        if (! $task->exists) {
            $task->fill([
                'studio_id' => $week->studio_id,
                'student_id' => $week->student_id,
                'week_id' => $week->id,
                'kind' => $given['kind'],
                'learning_id' => $given['learningId'],
                'why' => 'added by the teacher',
            ]);
        }
        $task->fill([
            'title' => $given['title'],
            'instruction' => $given['instruction'],
            'hand' => $given['hand'],
            'repetitions' => $given['repetitions'],
            'tempo' => $given['tempo'],
            'starred' => $given['starred'],
            'half_minutes' => $given['minutes'] === null ? ($task->half_minutes ?? TaskTime::LEAST) : (int) round(2 * $given['minutes']),
        ])->save();
        if ($task->wasRecentlyCreated && $task->learning_id !== null && $given['first'] !== null) {
            $this->bars($task, $given['first'], $given['last'] ?? $given['first']);
        }
        if ($given['minutes'] === null) {
            $this->reckon($task);
        }

        return $task;
    }

    private function bars(Task $task, int $first, int $last): void
    {
        $measures = $this->score($task)->measures;
        if (! isset($measures[$first], $measures[$last]) || $last < $first) {
            throw ValidationException::withMessages(['tasks' => "'{$task->title}': the piece has no such bars; it has ".count($measures).'.']);
        }
        TaskBars::query()->create([
            'studio_id' => $task->studio_id,
            'task_id' => $task->id,
            'position' => 0,
            'first' => $first,
            'last' => $last,
            'from_place' => (string) $measures[$first]->place(Fraction::zero()),
            'to_place' => (string) $measures[$last]->lastBeat(),
        ]);
    }

    /** The time follows from the repetitions and the tempo, where bars are played. */
    private function reckon(Task $task): void
    {
        $bars = $task->bars()->orderBy('position')->get();
        if ($task->learning_id === null || $task->tempo === null || $bars->isEmpty()) {
            return;
        }
        $ranges = array_values($bars->map(static fn (TaskBars $of): array => [$of->first, $of->last])->all());
        $task->update(['half_minutes' => TaskTime::ofBars($this->score($task), $ranges, $task->repetitions, $task->tempo)]);
    }

    private function score(Task $task): Score
    {
        return $this->scores[(int) $task->learning_id] ??= Learning::query()->with('piece')->findOrFail($task->learning_id)->piece->score();
    }

    /** @param list<string> $dates */
    private function days(Task $task, array $dates): void
    {
        $dates = array_values(array_unique($dates));
        $task->days()->whereNotIn('on_date', $dates)->delete();
        $known = $task->days()->pluck('on_date')->map(static fn ($date): string => CarbonImmutable::parse($date)->toDateString())->all();
        foreach (array_diff($dates, $known) as $date) {
            $task->days()->create(['studio_id' => $task->studio_id, 'on_date' => $date, 'position' => 99]);
        }
        $task->update(['left_why' => $dates === [] ? ($task->left_why ?? 'set aside') : null]);
    }

    private function holdAgainstTheRules(Week $week, CarbonImmutable $today): void
    {
        $titles = $week->tasks->pluck('title', 'id');
        $broken = WeekPlanner::broken(
            WeekDays::forPlanner($week),
            WeekDays::tasksForPlanner($week->tasks, $week->ends_on),
            WeekDays::datesByTask($week),
            WeekPlanner::mostNewAt($week->student->age($today)),
        );
        if ($broken !== []) {
            throw ValidationException::withMessages(['tasks' => array_map(
                static fn (array $rule): string => CarbonImmutable::parse($rule['date'])->format('l').", {$titles[(int) $rule['task']]}: {$rule['text']}",
                $broken,
            )]);
        }
        $free = array_diff(array_merge(...array_values(WeekDays::datesByTask($week) ?: [[]])), array_column(WeekDays::forPlanner($week), 'date'));
        if ($free !== []) {
            throw ValidationException::withMessages(['tasks' => CarbonImmutable::parse(min($free))->format('l').' is no practice day of this week.']);
        }
    }

    /** Within a day: warm-up, new work, continuing work, review (rule 5). */
    private function sortDays(Week $week): void
    {
        $planned = [];
        foreach (WeekDays::tasksForPlanner($week->tasks, $week->ends_on) as $task) {
            $planned[(int) $task->id] = $task;
        }
        $byDate = [];
        foreach ($week->tasks as $task) {
            $first = $task->days->min(static fn (TaskDay $day): string => $day->on_date->toDateString());
            foreach ($task->days as $day) {
                $date = $day->on_date->toDateString();
                $byDate[$date][] = [WeekPlanner::rankOn($planned[$task->id] ?? new PlanTask('', TaskKind::Theory, 0), $task->is_new && $first === $date), $day];
            }
        }
        foreach ($byDate as $days) {
            usort($days, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            foreach ($days as $position => [, $day]) {
                if ($day->position !== $position) {
                    $day->update(['position' => $position]);
                }
            }
        }
    }
}

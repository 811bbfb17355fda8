<?php

declare(strict_types=1);

namespace App\Week;

use App\Student\Learning\Learning;
use App\Student\StudentPace;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Practice\OwnPace;
use Nasturtium\Core\Practice\Planning\BrokenRule;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\RuleCheck;
use Nasturtium\Core\Practice\Planning\Week as PlanWeek;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Piece as Score;

/**
 * Saves a week as the teacher left it: moved, locked, added, removed, changed. Unless it is to be kept just so, what is
 * not locked is planned anew around it. The rules of the plan are in force; a week that breaks one is refused whole, with
 * the day and the reason. A removed task can be put back by its id.
 *
 * @phpstan-type TaskInput array{id: int|null, kind: string, title: string, instruction: string, learningId: int|null, hand: string|null, first: int|null, last: int|null, repetitions: int, tempo: int|null, minutes: float|null, starred: bool, mostDays: int, dates: list<string>, locked: list<string>, off: list<string>}
 */
final class SaveWeek
{
    /** @var array<int, Score> pieces by learning, read once */
    private array $scores = [];

    public function __construct(private readonly ReplanWeek $replan) {}

    /**
     * @param  list<TaskInput>  $input
     * @param  ?int  $share  percent of the minutes; null leaves it
     * @param  bool  $justSo  nothing is planned around the change
     * @param  bool  $sure  a tempo may jump
     */
    public function __invoke(Week $week, array $input, CarbonImmutable $today, ?int $share = null, bool $justSo = false, bool $sure = false): Week
    {
        return DB::transaction(function () use ($week, $input, $today, $share, $justSo, $sure): Week {
            $locked = Week::query()->whereKey($week->id)->lockForUpdate()->firstOrFail();
            $before = self::broken(WeekDays::forPlanner($week->refresh()->load(WeekDays::FOR_PLANNER), $today));
            $locked->update(['share' => $share ?? $locked->share]);
            $kept = [];
            foreach ($input as $given) {
                $task = $this->task($week, $given, $sure || $justSo);
                $this->days($task, $given, $today->toDateString());
                $kept[] = $task->id;
            }
            $week->tasks()->whereNotIn('id', $kept)->delete();
            $week = $week->refresh()->load(WeekDays::FOR_PLANNER);
            $this->holdToPracticeDays($week);
            if (! $justSo) {
                ($this->replan)($week, $today);
                $week->load(WeekDays::FOR_PLANNER);
            }
            $asked = WeekDays::forPlanner($week, $today);
            self::refuse($week, self::broken($asked), $before);
            if ($justSo) {
                ReplanWeek::writeDays($week, WeekPlanner::keep($asked, self::dates($asked)), $today->toDateString());
                CountWeeks::of([$week->id]);
            }

            return $week->refresh();
        });
    }

    /** @return list<BrokenRule> the rules that the days of a week break as they stand */
    private static function broken(PlanWeek $asked): array
    {
        return RuleCheck::broken($asked, self::dates($asked));
    }

    /** @return array<array-key, list<string>> the dates that tasks stand on, by their id */
    private static function dates(PlanWeek $asked): array
    {
        return array_column(array_map(static fn (PlanTask $task): array => [$task->id, $task->stood], $asked->tasks), 1, 0);
    }

    /**
     * What was broken before the change, as by a shorter day, is not what she did now.
     *
     * @param  list<BrokenRule>  $broken
     * @param  list<BrokenRule>  $before
     *
     * @throws ValidationException with the day, the task and the reason
     */
    private static function refuse(Week $week, array $broken, array $before): void
    {
        $new = array_values(array_filter($broken, static fn (BrokenRule $rule): bool => ! $rule->isNoWorseThan($before)));
        if ($new === []) {
            return;
        }
        $titles = $week->tasks->pluck('title', 'id');
        throw ValidationException::withMessages(['tasks' => array_map(
            static fn (BrokenRule $rule): string => CarbonImmutable::parse($rule->date)->format('l').", {$titles[(int) $rule->task]}: {$rule->text}",
            $new,
        )]);
    }

    /** @param TaskInput $given */
    private function task(Week $week, array $given, bool $sure): Task
    {
        $task = $given['id'] === null ? new Task() : Task::withTrashed()->where('week_id', $week->id)->findOrFail($given['id']);
        if ($task->trashed()) {
            $task->restore();
        }
        if (! $sure) {
            $this->askBack($task, $given['tempo']);
        }
        if (! $task->exists) {
            $task->fill([
                'studio_id' => $week->studio_id,
                'student_id' => $week->student_id,
                'week_id' => $week->id,
                'kind' => $given['kind'],
                'learning_id' => $given['learningId'],
                'pace' => StudentPace::USUAL,
                'why' => Task::OWN,
            ]);
        }
        $task->fill([
            'title' => $given['title'],
            'instruction' => $task->reworded($given['instruction']),
            'hand' => $given['hand'],
            'repetitions' => $given['repetitions'],
            'tempo' => $given['tempo'],
            'starred' => $given['starred'],
            'most_days' => $given['mostDays'],
            ...self::minutes($task, $given['minutes']),
        ])->save();
        if ($task->wasRecentlyCreated && $task->learning_id !== null && $given['first'] !== null) {
            $this->bars($task, $given['first'], $given['last'] ?? $given['first']);
        }
        if ($given['minutes'] === null) {
            $this->reckon($task);
        }

        return $task;
    }

    /**
     * What the teacher has set is so on every day; what she left as it was stays, on its first day too.
     *
     * @return array<string, int|null> columns
     */
    private static function minutes(Task $task, ?float $minutes): array
    {
        $given = $minutes === null ? null : (int) round(2 * $minutes);

        return match (true) {
            $given === null => ['half_minutes' => $task->half_minutes ?? TaskTimes::LEAST],
            $given === $task->half_minutes => [],
            default => ['half_minutes' => $given, 'half_minutes_first' => null],
        };
    }

    /** A jump of more than two rungs is asked back (trade 9.4). */
    private function askBack(Task $task, ?int $tempo): void
    {
        if ($task->learning_id === null || $tempo === null || $task->tempo === null || $tempo <= $task->tempo) {
            return;
        }
        $ladder = Learning::query()->with(['piece', 'ladders'])->findOrFail($task->learning_id)->ladder($task->hand);
        $rungs = $ladder->rungsUp($task->tempo, $tempo);
        if ($rungs > TempoLadder::MOST_JUMP) {
            throw ValidationException::withMessages(['tempo' => "From {$task->tempo} to {$tempo} is {$rungs} rungs at once; two are enough. The next are {$this->rungsAfter($ladder, $task->tempo)}."]);
        }
    }

    private function rungsAfter(TempoLadder $ladder, int $tempo): string
    {
        $next = $ladder->next($tempo, true);

        return "{$next} and {$ladder->next($next, true)}";
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
        $times = TaskTimes::ofBars($this->score($task), $ranges, $task->taskClass(), $task->repetitions, $this->tempi($task, $task->tempo))->atPace(OwnPace::share($task->pace));
        $task->update(['half_minutes' => $times->later, 'half_minutes_first' => $times->first]);
    }

    /** @return non-empty-list<int> */
    private function tempi(Task $task, int $tempo): array
    {
        return $task->stage === null ? [$tempo] : $task->stage->kind->tempi($tempo, Learning::query()->with(['piece', 'ladders'])->findOrFail($task->learning_id)->ladder($task->hand));
    }

    private function score(Task $task): Score
    {
        return $this->scores[(int) $task->learning_id] ??= Learning::query()->with('piece')->findOrFail($task->learning_id)->piece->score();
    }

    /**
     * Days that are over stay as they were: what stood on them stood there.
     *
     * @param  TaskInput  $given
     */
    private function days(Task $task, array $given, string $today): void
    {
        $known = WeekDays::dates($task->days()->get());
        $over = array_filter($known, static fn (string $date): bool => $date < $today);
        // What filling put there and was practised today already is not given, and stays.
        $over = [...$over, ...WeekDays::dates($task->days()->where('half_minutes', 0)->whereIn('on_date', $task->practices()->select('on_date'))->get())];
        $dates = array_values(array_unique([...$over, ...array_filter([...$given['dates'], ...$given['locked']], static fn (string $date): bool => $date >= $today)]));
        $task->days()->whereNotIn('on_date', $dates)->delete();
        foreach (array_diff($dates, $known) as $date) {
            $task->days()->create(['studio_id' => $task->studio_id, 'on_date' => $date, 'position' => 99]);
        }
        $task->days()->whereIn('on_date', $given['locked'])->where('locked', false)->update(['locked' => true]);
        $task->days()->whereNotIn('on_date', $given['locked'])->where('locked', true)->update(['locked' => false]);
        $off = array_diff($given['off'], $given['locked']);
        $task->daysOff()->whereNotIn('on_date', $off)->delete();
        foreach (array_diff($off, WeekDays::dates($task->daysOff()->get())) as $date) {
            $task->daysOff()->create(['studio_id' => $task->studio_id, 'on_date' => $date]);
        }
        $task->update(['left_why' => $dates === [] && $task->kind !== TaskKind::Choice ? ($task->left_why ?? 'set aside') : null]);
    }

    private function holdToPracticeDays(Week $week): void
    {
        $open = array_keys(array_filter(WeekDays::minutes($week), static fn (int $minutes): bool => $minutes > 0));
        foreach ($week->tasks as $task) {
            $free = array_diff(WeekDays::dates($task->days), $open);
            if ($free !== []) {
                throw ValidationException::withMessages(['tasks' => CarbonImmutable::parse(min($free))->format('l').' is no practice day of this week.']);
            }
        }
    }
}

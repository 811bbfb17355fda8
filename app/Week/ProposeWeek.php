<?php

declare(strict_types=1);

namespace App\Week;

use App\Lesson\Lesson;
use App\Student\KnowNotes;
use App\Student\Learning\Learning;
use App\Student\Learning\Stage;
use App\Student\Learning\StageBars;
use App\Student\Student;
use App\Week\Remedies\FindRemedies;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Page\PlainPage;
use Nasturtium\Core\Path\AskedStages;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\TaskTime;
use Nasturtium\Core\Practice\WarmUp;
use Nasturtium\Core\Reading\ShakierHand;
use Nasturtium\Core\Score\Hand;

/** Proposes the week after a lesson: remedies, open stages, reviews and a warm-up, on the days the rules allow. */
final class ProposeWeek
{
    private const REVIEW_REPETITIONS = 1;

    /** Days of a week without a lesson: over the longest holidays. */
    public const LONGEST = 200;

    /** In one week; a student of many pages would have little else. */
    private const MOST_REVIEWS = 4;

    public function __construct(private readonly KnowNotes $know, private readonly ReplanWeek $replan) {}

    /** Replaces an unsent proposal; a week that was sent is left as it is. */
    public function __invoke(Student $student, CarbonImmutable $from): Week
    {
        return DB::transaction(function () use ($student, $from): Week {
            $week = self::week($student, $from);
            if ($week->sent_at === null) {
                // By their keys: to delete where there is nothing would lock the room between the weeks of others.
                Task::withTrashed()->whereKey(DB::table('tasks')->where('week_id', $week->id)->pluck('id'))->forceDelete();
                $this->fill($week, $student);
                ($this->replan)($week, $from);
            }

            return $week->refresh();
        });
    }

    /** Made where there is none, and locked by its key. */
    private static function week(Student $student, CarbonImmutable $from): Week
    {
        $of = ['student_id' => $student->id, 'starts_on' => $from->toDateString()];
        if (Week::query()->where($of)->doesntExist()) {
            DB::table('weeks')->insertOrIgnore([...$of, 'studio_id' => $student->studio_id, 'ends_on' => min($student->lessonOnOrAfter($from->addDay()), $from->addDays(self::LONGEST))->toDateString(), 'created_at' => now(), 'updated_at' => now()]);
        }
        $id = Week::query()->where($of)->value('id');

        return Week::query()->whereKey($id)->lockForUpdate()->firstOrFail();
    }

    private function fill(Week $week, Student $student): void
    {
        $current = Learning::query()->where('student_id', $student->id)->where('state', LearningState::Current)
            ->with(['piece.page', 'ladders', 'stages.bars', 'stages.waitsFor'])->orderBy('opened_on')->orderBy('id')->get();
        $newest = $current->last(static fn (Learning $learning): bool => $learning->piece->isTyped());
        $this->task($week, TaskKind::WarmUp, 'Warm-up', WarmUp::for($newest?->piece->score()), WarmUp::HALF_MINUTES);
        $this->remedies($week);
        foreach ($current as $learning) {
            $this->stages($week, $learning);
        }
        foreach ($this->due($week) as $learning) {
            $this->review($week, $learning);
        }
    }

    /** @return Collection<int, Learning> pieces whose review is due before the next lesson, what rested longest first; the others stay due */
    private function due(Week $week): Collection
    {
        $due = Learning::query()->where('student_id', $week->student_id)->with(['piece', 'stages.bars'])->orderBy('played_on')->orderBy('id');
        Learning::whereDue($due, $week->ends_on);
        $due->limit(self::MOST_REVIEWS);

        return $due->get();
    }

    private function remedies(Week $week): void
    {
        $lesson = Lesson::query()->where('student_id', $week->student_id)->where('held_on', $week->starts_on->toDateString())->first();
        foreach ($lesson === null ? [] : FindRemedies::of($lesson) as [$learning, $remedy]) {
            $task = $this->task($week, TaskKind::Remedy, $remedy->kind->title(), $remedy->kind->remedy(), $remedy->halfMinutes, [
                'learning_id' => $learning->id,
                'hand' => $remedy->hand?->value,
                'repetitions' => $remedy->repetitions,
                'tempo' => $remedy->tempo,
                'is_new' => false,
                'why' => $remedy->why,
            ]);
            TaskBars::query()->create([
                'studio_id' => $week->studio_id,
                'task_id' => $task->id,
                'position' => 0,
                'first' => $remedy->first,
                'last' => $remedy->last,
                'from_place' => (string) $remedy->from,
                'to_place' => (string) $remedy->to,
            ]);
        }
    }

    private function stages(Week $week, Learning $learning): void
    {
        $stages = $learning->stages->sortBy('position')->values();
        $asked = AskedStages::of($stages->map(static fn (Stage $stage): array => [$stage->kind, $stage->passed_on !== null])->all());
        $open = $stages->filter(static fn (Stage $stage, int $at): bool => in_array($at, $asked, true));
        $before = Task::query()->whereIn('stage_id', $open->modelKeys())->where('week_id', '!=', $week->id)->whereNotNull('mark')->orderBy('week_id')->get()->groupBy('stage_id');
        $first = $this->handFirst($week, $learning, $open);
        $kind = $learning->piece->isTyped() ? TaskKind::Stage : PlainPage::of($learning->piece->page->kind)->kind;
        foreach ($open as $stage) {
            $heard = $before->get($stage->id, new Collection());
            $mark = $heard->last()?->mark;
            $tempo = $stage->tempo === null ? null : $this->rung($learning, $stage, $heard);
            $task = $this->task($week, $kind, ucfirst($stage->title()), $stage->instruction(), $this->minutesAt($learning, $stage, $tempo), [
                'learning_id' => $learning->id,
                'stage_id' => $stage->id,
                'hand' => $stage->aloneHand()?->value,
                'leads' => $first !== null && $stage->aloneHand() === $first,
                'repetitions' => $stage->repetitions,
                'tempo' => $tempo,
                'is_new' => $mark === null,
                'why' => $mark === null ? 'the next stage' : 'not passed yet',
            ]);
            $this->bars($task, $stage->bars);
        }
    }

    /**
     * The tempo a stage goes on at: of the ladder, and what was reached or failed at the lessons so far (trade 9.1, 9.2).
     *
     * @param  Collection<int, Task>  $heard  its tasks with a mark, in order
     */
    private function rung(Learning $learning, Stage $stage, Collection $heard): int
    {
        $last = $heard->last();
        $ladder = $learning->ladders->isEmpty() && $last === null ? null : $learning->ladder($stage->aloneHand());
        if ($ladder === null || $last === null || $last->tempo === null) {
            return $ladder === null || $stage->kind === StageKind::Finish ? (int) $stage->tempo : $ladder->from;
        }
        if ($last->tempo_reached !== null) {
            return $ladder->next($last->tempo_reached, $stage->kind === StageKind::TempoLadder);
        }
        $failures = $heard->reverse()->takeWhile(static fn (Task $task): bool => $task->mark === LessonVerdict::Again && $task->tempo === $last->tempo)->count();

        return $ladder->next($last->tempo, false, $failures);
    }

    /** @return int half minutes; another tempo than the stage's takes another time */
    private function minutesAt(Learning $learning, Stage $stage, ?int $tempo): int
    {
        if ($tempo === null || $tempo === $stage->tempo || $stage->bars->isEmpty()) {
            return $stage->half_minutes;
        }
        $ranges = $stage->bars->map(static fn (StageBars $of): array => [$of->first, $of->last])->all();

        return TaskTime::ofBars($learning->piece->score(), array_values($ranges), $stage->repetitions, $tempo);
    }

    /**
     * The hand that needs more goes first in the day, where both have something to do.
     *
     * @param  Collection<int, Stage>  $open
     */
    private function handFirst(Week $week, Learning $learning, Collection $open): ?Hand
    {
        $hands = $open->map(static fn (Stage $stage): ?string => $stage->aloneHand()?->value)->filter()->unique();
        if ($hands->count() < 2) {
            return null;
        }
        $student = $week->student;
        $known = ($this->know)($student, $learning->piece, $this->know->learnings($student), $week->starts_on);

        return ShakierHand::of($learning->piece->score(), $known);
    }

    private function review(Week $week, Learning $learning): void
    {
        $last = $learning->stages->sortBy('position')->last();
        $tempo = $last?->tempo;
        $task = $this->task($week, TaskKind::Review, 'Review', 'Play it through for the joy of it, once.', $last->half_minutes ?? TaskTime::LEAST, [
            'learning_id' => $learning->id,
            'repetitions' => self::REVIEW_REPETITIONS,
            'tempo' => $tempo,
            'why' => 'last played '.($learning->played_on ?? $learning->opened_on)->format('j M'),
        ]);
        $this->bars($task, $last instanceof Stage ? $last->bars : new Collection());
    }

    /** @param Collection<int, StageBars> $bars */
    private function bars(Task $task, Collection $bars): void
    {
        TaskBars::query()->insert(array_values($bars->map(static fn (StageBars $of): array => [
            'studio_id' => $task->studio_id,
            'task_id' => $task->id,
            'position' => $of->position,
            'first' => $of->first,
            'last' => $of->last,
            'from_place' => $of->from_place,
            'to_place' => $of->to_place,
        ])->all()));
    }

    /** @param array<string, mixed> $more */
    private function task(Week $week, TaskKind $kind, string $title, string $instruction, int $halfMinutes, array $more = []): Task
    {
        return Task::query()->create([
            'studio_id' => $week->studio_id,
            'student_id' => $week->student_id,
            'week_id' => $week->id,
            'kind' => $kind->value,
            'title' => $title,
            'instruction' => $instruction,
            'half_minutes' => $halfMinutes,
            ...$more,
        ]);
    }
}

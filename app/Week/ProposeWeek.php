<?php

declare(strict_types=1);

namespace App\Week;

use App\Http\English;
use App\Lesson\Lesson;
use App\Page\Piece\NoteNames;
use App\Student\Learning\Learning;
use App\Student\Learning\StageTimes;
use App\Student\Student;
use App\Student\StudentPace;
use App\Week\Proposal\ProposeDrill;
use App\Week\Proposal\ProposePerformances;
use App\Week\Proposal\ProposeReading;
use App\Week\Proposal\ProposeStages;
use App\Week\Proposal\ProposeTheory;
use App\Week\Proposal\TaskWriter;
use App\Week\Remedies\FindRemedies;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\Planning\WeekBoard;
use Nasturtium\Core\Practice\Remedy;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Practice\TaskClass;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\WarmUp;

/** Proposes the week after a lesson: a warm-up, remedies, open stages, a drill, a line at sight, worksheets, reviews and own choice, on the days the rules allow. */
final class ProposeWeek
{
    private const REVIEW_REPETITIONS = 1;

    /** Days of a week without a lesson: over the longest holidays. */
    public const LONGEST = 200;

    public function __construct(
        private readonly ReplanWeek $replan,
        private readonly ProposeStages $stages,
        private readonly ProposeDrill $drill,
        private readonly ProposeTheory $theory,
        private readonly ProposePerformances $performances,
        private readonly ProposeReading $reading,
        private readonly NoteNames $names,
    ) {}

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
        ($this->theory)($student, $week->starts_on);
        $current = Learning::query()->where('student_id', $student->id)->where('state', LearningState::Current)
            ->with(['piece.page', 'ladders', 'stages.bars', 'stages.waitsFor'])->orderBy('opened_on')->orderBy('id')->get();
        $writer = new TaskWriter($week, StudentPace::of($student));
        $this->warmUp($writer, $current);
        $this->remedies($writer);
        foreach ($current as $learning) {
            ($this->stages)($writer, $learning);
        }
        ($this->drill)($writer, $current);
        ($this->reading)($writer);
        $played = ($this->performances)($writer);
        foreach ($this->due($week)->except($played) as $learning) {
            $this->review($writer, $learning);
        }
        $writer->always(TaskKind::Choice, 'Play what you like', 'Something you enjoy: an old piece, or a tune of your own.', TaskTimes::LEAST, ['why' => 'in the time that is left']);
    }

    /** @return Collection<int, Learning> pieces whose review is due before the next lesson, what rested longest first; the others stay due */
    private function due(Week $week): Collection
    {
        $due = Learning::query()->where('student_id', $week->student_id)->with(['piece', 'stages.bars'])->orderBy('played_on')->orderBy('id');
        Learning::whereDue($due, $week->ends_on);
        $due->limit(WeekBoard::MOST_REVIEWS);

        return $due->get();
    }

    private function remedies(TaskWriter $writer): void
    {
        $week = $writer->week;
        $lesson = Lesson::query()->where('student_id', $week->student_id)->where('held_on', $week->starts_on->toDateString())->first();
        foreach ($lesson === null ? [] : FindRemedies::of($lesson) as [$learning, $remedy]) {
            $task = $writer->work(TaskKind::Remedy, $remedy->kind->title(), $remedy->kind->remedy(), TaskTimes::always($remedy->halfMinutes), [
                'learning_id' => $learning->id,
                'hand' => $remedy->hand?->value,
                'repetitions' => $remedy->repetitions,
                'tempo' => $remedy->tempo,
                'is_new' => false,
                'why' => $remedy->why,
                'drill_notes' => $remedy->kind === Slip::WrongNote ? $this->drilled($learning, $remedy) : null,
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

    /** The notes of its bars, of which one was taken for another; null where there are too few on the two staves to drill. */
    private function drilled(Learning $learning, Remedy $remedy): ?string
    {
        $notes = $this->names->of(array_slice($learning->piece->score()->measures, $remedy->first, $remedy->last - $remedy->first + 1), $remedy->hand);

        $drilled = array_filter(explode(',', $notes), static fn (string $note): bool => str_starts_with($note, 'treble:') || str_starts_with($note, 'bass:'));

        return count($drilled) > 1 ? implode(',', $drilled) : null;
    }

    /** @param Collection<int, Learning> $current */
    private function warmUp(TaskWriter $writer, Collection $current): void
    {
        $newest = $current->last(static fn (Learning $learning): bool => $learning->piece->isTyped());
        $writer->always(TaskKind::WarmUp, 'Warm-up', WarmUp::for($newest?->piece->score()), WarmUp::HALF_MINUTES);
    }

    private function review(TaskWriter $writer, Learning $learning): void
    {
        $last = $learning->stages->sortBy('position')->last();
        $tempo = $last?->tempo;
        $times = $last === null || $tempo === null || $last->bars->isEmpty()
            ? TaskTimes::always($last->half_minutes ?? TaskTimes::LEAST)
            : TaskTimes::ofBars($learning->piece->score(), StageTimes::ranges($last), TaskClass::Review, self::REVIEW_REPETITIONS, [$tempo]);
        $task = $writer->work(TaskKind::Review, 'Review', 'Play it through for the joy of it, once.', $times, [
            'learning_id' => $learning->id,
            'repetitions' => self::REVIEW_REPETITIONS,
            'tempo' => $tempo,
            'why' => 'last played '.English::shortDay($learning->played_on ?? $learning->opened_on),
        ]);
        $writer->bars($task, $last->bars ?? new Collection());
    }
}

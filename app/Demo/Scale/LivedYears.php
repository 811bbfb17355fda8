<?php

declare(strict_types=1);

namespace App\Demo\Scale;

use App\Demo\Chance;
use App\Lesson\Lesson;
use App\Page\Piece\Piece;
use App\Student\Learning\Stage as StageRow;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Nasturtium\Core\Path\Stage;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Practice\Calendar\LessonState;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\ReviewSchedule;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\WarmUp;

/**
 * The weeks of a student over years, lesson by lesson, as rows. They follow the trade (what passed stays passed, a page
 * is signed off with its last stage, then comes back) but are placed simply: searching for each would take hours.
 */
final class LivedYears
{
    private const PAGES_AT_ONCE = 2;

    private const NEARLY_DONE = 6;

    private const STAGES_AHEAD = 5;

    private const REVIEWS_A_WEEK = 4;

    /** After this many lessons it passes, whatever chance says. */
    private const MOST_MISSES = 4;

    private const USUAL_TEMPO = 72;

    private const SLIPS = [Slip::WrongNote, Slip::WrongNote, Slip::CutShort, Slip::BeatLost, Slip::WrongFinger, Slip::LineTurnStall, Slip::HandsApart, Slip::ReadBackwards];

    private const WARM_UP = 'Five fingers up and down, each hand alone, then together.';

    /** @var list<LivedPage> */
    private array $pages = [];

    /** @var list<LivedTask> of the week that is under way */
    private array $tasks = [];

    /** @var list<array{LivedTask, Slip, int}> of the last lesson, with the measure */
    private array $slips = [];

    private int $week = 0;

    /**
     * @param  array<int, int>  $minutes  by weekday
     * @param  int  $care  of a hundred days, those that are practised
     * @param  int  $ease  of a hundred tasks, those that pass at once
     */
    public function __construct(
        private readonly ScaledBooks $books,
        private readonly BulkRows $rows,
        private readonly Chance $chance,
        private readonly Student $student,
        private readonly array $minutes,
        private readonly int $care,
        private readonly int $ease,
    ) {}

    /** @param list<array{string, string}> $lessons the day each was held and that of the timetable, in order; the week after the last is left to be planned */
    public function live(array $lessons): void
    {
        foreach ($lessons as $at => [$heldOn, $slotOn]) {
            $this->hear($heldOn, $slotOn, $at > 0 ? $this->week : null);
            $this->openNext($heldOn);
            if (isset($lessons[$at + 1])) {
                $this->week($heldOn, $lessons[$at + 1][0]);
            }
        }
        foreach ($this->pages as $page) {
            $this->rows->change('learnings', $page->id, [
                'state' => ($page->finishedOn === null ? LearningState::Current : LearningState::Finished)->value,
                'finished_on' => $page->finishedOn,
                'played_on' => $page->playedOn,
                'review_step' => ReviewSchedule::after($page->reviews),
            ]);
        }
    }

    private function hear(string $heldOn, string $slotOn, ?int $week): void
    {
        $lesson = $this->rows->add('lessons', $this->own([
            'week_id' => $week, 'held_on' => $heldOn, 'state' => $heldOn === $slotOn ? LessonState::Held->value : LessonState::Moved->value, 'slot_on' => $heldOn === $slotOn ? null : $slotOn,
            'private_note' => $this->chance->happens(10) ? 'Shoulders up again; breathe before the first bar.' : null, 'finished_at' => "{$heldOn} 18:00:00",
        ], $heldOn));
        $this->slips = [];
        foreach ($this->tasks as $task) {
            if ($task->page === null || $task->practised === 0) {
                continue;
            }
            $passes = ($task->stage?->isReady() ?? true) && ($this->chance->happens(min(95, $this->ease + 8 * $task->practised)) || ($task->stage !== null && $task->stage->misses >= self::MOST_MISSES));
            $this->mark($task, $task->page, $passes, $heldOn);
            if (! $passes && $this->chance->happens(35)) {
                $this->slip($lesson, $task, $task->page, $heldOn);
            }
        }
    }

    private function mark(LivedTask $task, LivedPage $page, bool $passes, string $heldOn): void
    {
        $ladder = ! $passes && $task->stage?->stage->step->kind === StageKind::TempoLadder;
        $this->rows->change('tasks', $task->id, ['mark' => $passes ? LessonVerdict::Pass->value : LessonVerdict::Again->value, 'tempo_reached' => $ladder ? ($task->stage->stage->tempo ?? self::USUAL_TEMPO) + 4 * $task->stage->misses : null]);
        $page->playedOn = $heldOn;
        if ($task->kind === TaskKind::Review) {
            $page->reviews[] = $passes;
        }
        if ($task->stage !== null) {
            $task->stage->passedOn = $passes ? $heldOn : null;
            $task->stage->misses += $passes ? 0 : 1;
            $this->rows->change('stages', $task->stage->id, ['passed_on' => $task->stage->passedOn]);
            $page->finishedOn = $page->open() === [] ? $heldOn : null;
        }
    }

    private function slip(int $lesson, LivedTask $task, LivedPage $page, string $heldOn): void
    {
        $kind = $this->chance->oneOf(self::SLIPS);
        $measure = $this->chance->between(0, $page->piece->measures - 1);
        $this->slips[] = [$task, $kind, $measure];
        $this->rows->add('slips', [
            'studio_id' => $this->student->studio_id, 'lesson_id' => $lesson, 'task_id' => $task->id, 'kind' => $kind->value, 'measure' => $measure,
            'place' => 'bar '.($measure + 1), 'hand' => $task->stage?->stage->step->hand?->value, 'note_names' => $this->books->names($page->piece, $measure),
            'created_at' => $heldOn, 'updated_at' => $heldOn,
        ]);
    }

    private function openNext(string $on): void
    {
        $current = array_filter($this->pages, static fn (LivedPage $page): bool => $page->finishedOn === null);
        $nearlyDone = array_filter($current, static fn (LivedPage $page): bool => count($page->open()) > self::NEARLY_DONE) === [];
        $next = $this->books->pieces[count($this->pages)] ?? null;
        if ($next !== null && $nearlyDone && count($current) < self::PAGES_AT_ONCE) {
            $this->pages[] = $this->open($next, $on);
        }
    }

    private function open(Piece $piece, string $on): LivedPage
    {
        $path = $this->student->path;
        $id = $this->rows->add('learnings', $this->own(['piece_id' => $piece->id, 'path' => $path->value, 'state' => LearningState::Current->value, 'opened_on' => $on, 'finished_on' => null, 'played_on' => null, 'review_step' => 0], $on));
        $page = new LivedPage($id, $piece, $on);
        foreach ($this->books->stages($piece, $path) as $position => $stage) {
            $page->stages[] = $this->stage($page, $stage, $position, $on);
        }
        // The page is looked over, or listened to, together at the lesson.
        $page->stages[0]->passedOn = $on;
        $this->rows->change('stages', $page->stages[0]->id, ['passed_on' => $on]);

        return $page;
    }

    private function stage(LivedPage $page, Stage $stage, int $position, string $on): LivedStage
    {
        $studio = $this->student->studio_id;
        $id = $this->rows->add('stages', [
            'studio_id' => $studio, 'learning_id' => $page->id, ...StageRow::columnsOf($stage->step), 'position' => $position, 'content' => $stage->content,
            'repetitions' => $stage->repetitions, 'tempo' => $stage->tempo, 'half_minutes' => $stage->times->later, 'half_minutes_first' => $stage->times->first, 'passed_on' => null, 'created_at' => $on, 'updated_at' => $on,
        ]);
        $waits = array_map(static fn (int $at): LivedStage => $page->stages[$at], $stage->waitsFor);
        foreach ($waits as $earlier) {
            $this->rows->join('stage_waits', ['stage_id' => $id, 'waits_for_id' => $earlier->id]);
        }
        foreach ($stage->chunks as $place => $chunk) {
            $this->rows->add('stage_bars', ['studio_id' => $studio, 'stage_id' => $id, 'position' => $place, 'kind' => $chunk->kind->value, ...$this->bars($chunk)]);
        }

        return new LivedStage($id, $stage, $waits);
    }

    private function week(string $from, string $to): void
    {
        $this->week = $this->rows->add('weeks', $this->own(['starts_on' => $from, 'ends_on' => $to, 'sent_at' => "{$from} 18:00:00", 'planned_on' => $from], $from));
        $this->tasks = [];
        $this->task(TaskKind::WarmUp, 'Warm-up', self::WARM_UP, '', WarmUp::HALF_MINUTES, 7);
        foreach ($this->slips as [$task, $kind, $measure]) {
            $remedy = $this->task(TaskKind::Remedy, ucfirst($kind->words()), $kind->remedy(), "{$kind->words()} in bar ".($measure + 1).', at the lesson', 4, 2, $task->page, null, $kind->repetitions(), $kind->tempo($task->stage->stage->tempo ?? self::USUAL_TEMPO));
            $this->rows->add('task_bars', ['studio_id' => $this->student->studio_id, 'task_id' => $remedy, 'position' => 0, 'first' => $measure, 'last' => $measure, 'from_place' => $measure + 1 .'.1', 'to_place' => $measure + 1 .'.4']);
        }
        foreach ($this->pages as $page) {
            foreach ($page->finishedOn === null ? array_slice($page->open(), 0, self::STAGES_AHEAD) : [] as $stage) {
                $this->stageTask($page, $stage);
            }
        }
        $due = array_filter($this->pages, static fn (LivedPage $page): bool => $page->isDue($to));
        usort($due, static fn (LivedPage $a, LivedPage $b): int => $a->playedOn <=> $b->playedOn);
        foreach (array_slice($due, 0, self::REVIEWS_A_WEEK) as $page) {
            $last = $page->stages[count($page->stages) - 1];
            $review = $this->task(TaskKind::Review, 'Review', 'Play it through for the joy of it, once.', "last played {$page->playedOn}", $last->stage->times->later, 1, $page, null, 1, $last->stage->tempo);
            $this->chunks($review, $last->stage);
        }
        $this->place($from, $to);
    }

    private function stageTask(LivedPage $page, LivedStage $stage): void
    {
        $step = $stage->stage->step;
        $task = $this->task(
            TaskKind::Stage,
            ucfirst($step->kind->value),
            $stage->stage->sentence,
            $stage->misses === 0 ? 'the next stage' : 'not passed yet',
            $stage->stage->times->later,
            2,
            $page,
            $stage,
            $stage->stage->repetitions,
            $stage->stage->tempo,
        );
        $this->chunks($task, $stage->stage);
    }

    private function task(TaskKind $kind, string $title, string $instruction, string $why, int $halfMinutes, int $days, ?LivedPage $page = null, ?LivedStage $stage = null, int $repetitions = 1, ?int $tempo = null): int
    {
        $id = $this->rows->add('tasks', $this->own([
            'week_id' => $this->week, 'stage_id' => $stage?->id, 'learning_id' => $page?->id, 'kind' => $kind->value, 'title' => $title, 'instruction' => $instruction, 'why' => $why,
            'hand' => $stage?->stage->step->hand?->value, 'repetitions' => $repetitions, 'tempo' => $tempo, 'half_minutes' => $halfMinutes,
            'is_new' => $stage !== null && $stage->misses === 0 ? 1 : 0, 'left_why' => null, 'mark' => null, 'tempo_reached' => null,
        ], null));
        $this->tasks[] = new LivedTask($id, $kind, $halfMinutes, $repetitions, $days, $page, $stage);

        return $id;
    }

    private function chunks(int $task, Stage $stage): void
    {
        foreach ($stage->chunks as $place => $chunk) {
            $this->rows->add('task_bars', ['studio_id' => $this->student->studio_id, 'task_id' => $task, 'position' => $place, ...$this->bars($chunk)]);
        }
    }

    /** Each task on the next days with room, and what is practised of it. */
    private function place(string $from, string $to): void
    {
        $left = [];
        for ($day = CarbonImmutable::parse($from); ($date = $day->toDateString()) < $to; $day = $day->addDay()) {
            if (isset($this->minutes[$day->dayOfWeekIso])) {
                $left[$date] = 2 * $this->minutes[$day->dayOfWeekIso];
            }
        }
        foreach ($this->tasks as $at => $task) {
            $dates = array_keys($left);
            $turned = $task->days === 7 ? $dates : [...array_slice($dates, $at % max(1, count($dates))), ...array_slice($dates, 0, $at % max(1, count($dates)))];
            foreach ($turned as $date) {
                if (count($task->dates) < $task->days && $left[$date] >= $task->halfMinutes) {
                    $left[$date] -= $task->halfMinutes;
                    $task->dates[] = $date;
                    $this->rows->add('task_days', ['studio_id' => $this->student->studio_id, 'task_id' => $task->id, 'on_date' => $date, 'position' => $at, 'locked' => 0]);
                }
            }
            if ($task->dates === []) {
                $this->rows->change('tasks', $task->id, ['left_why' => 'no room in this week']);
            }
        }
        foreach (array_keys($left) as $date) {
            if ($this->chance->happens($this->care)) {
                $this->practise($date);
            }
        }
    }

    private function practise(string $date): void
    {
        foreach ($this->tasks as $task) {
            if (in_array($date, $task->dates, true) && $this->chance->happens(90)) {
                $task->practised++;
                if ($task->page !== null) {
                    $task->page->playedOn = $date;
                }
                $this->rows->add('practices', $this->own([
                    'task_id' => $task->id, 'on_date' => $date, 'repetitions' => $task->repetitions, 'feeling' => $this->chance->oneOf(['easy', 'fine', 'fine', 'hard']),
                    'note' => $this->chance->happens(1) ? 'Can we hear this one at the lesson?' : '', 'client_key' => (string) Str::uuid(),
                ], $date));
            }
        }
    }

    /** @return array{first: int, last: int, from_place: string, to_place: string} */
    private function bars(Chunk $chunk): array
    {
        return ['first' => $chunk->first, 'last' => $chunk->last, 'from_place' => (string) $chunk->from, 'to_place' => (string) $chunk->to];
    }

    /**
     * @param  array<string, int|string|null>  $row
     * @return array<string, int|string|null> the same as a row of the student
     */
    private function own(array $row, ?string $on): array
    {
        return ['studio_id' => $this->student->studio_id, 'student_id' => $this->student->id, ...$row, 'created_at' => $on, 'updated_at' => $on];
    }
}

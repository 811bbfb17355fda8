<?php

declare(strict_types=1);

namespace App\Home;

use App\Http\English;
use App\Lead\LedLesson;
use App\Student\Family\FamilyLink;
use App\Student\Family\FamilyWord;
use App\Student\Family\HomeChildResource;
use App\Student\Learning\BarsResource;
use App\Student\Student;
use App\Week\CatchUp;
use App\Week\PracticeResource;
use App\Week\Task;
use App\Week\Week;
use App\Week\WeekDays;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Practice\Care;
use Nasturtium\Core\Practice\OwnPace;
use Nasturtium\Core\Practice\TaskKind;

/** The week that is under way as the child sees it; only weeks that were sent are seen. */
final class HomeWeek
{
    /** That are offered at once. */
    private const LED_LESSONS = 5;

    public function __construct(private readonly CatchUp $catchUp) {}

    public function __invoke(FamilyLink $link, Student $student): HomeWeekResource
    {
        $today = $student->today();
        $week = Week::query()->where('student_id', $student->id)->whereNotNull('sent_at')
            ->where('starts_on', '<=', $today->toDateString())->orderByDesc('starts_on')->first();
        if ($week !== null) {
            ($this->catchUp)($week, $today);
            $week->load([...WeekDays::RELATIONS, 'tasks.learning.piece.page.book', 'tasks.stage']);
        }

        return new HomeWeekResource(
            $student->id,
            $student->first_name,
            $today->toDateString(),
            CarbonImmutable::now()->toIso8601String(),
            $student->timezone ?? $student->studio->timezone,
            $student->studio->words,
            $week === null ? null : self::nextLesson($week, $student, $today)->toDateString(),
            $week->message ?? '',
            $week?->noteOfLesson() ?? '',
            FamilyWord::between($student->id, $today, $today)[0]->words ?? '',
            Care::breakAfter($student->age($today)),
            OwnPace::LONGEST_PAUSE,
            array_map(English::text(...), Care::words()),
            $week === null ? [] : array_values($week->tasks->map(self::task(...))->all()),
            $week === null ? [] : WeekDays::of($week),
            array_map(static fn (Student $child): HomeChildResource => new HomeChildResource($child->id, $child->first_name), [$link->student, ...$link->siblings->all()]),
            self::ledLessons($student),
        );
    }

    /** @return list<HomeLedLessonResource> */
    private static function ledLessons(Student $student): array
    {
        $lessons = LedLesson::query()->where('student_id', $student->id)->whereNotNull('sent_at')->whereNull('done_at')->orderBy('id');
        $lessons->limit(self::LED_LESSONS);

        return array_values($lessons->get(['id', 'title'])->map(static fn (LedLesson $lesson): HomeLedLessonResource => new HomeLedLessonResource($lesson->id, $lesson->title))->all());
    }

    /** A week that is over leads to no lesson any more; the timetable has the next one. */
    private static function nextLesson(Week $week, Student $student, CarbonImmutable $today): CarbonImmutable
    {
        return $week->ends_on->lessThan($today) ? $student->lessonOnOrAfter($today) : $week->ends_on;
    }

    private static function task(Task $task): HomeTaskResource
    {
        $sign = TaskSign::of($task->kind, $task->stage?->kind);
        $isTyped = $task->learning?->piece->isTyped() === true;

        return new HomeTaskResource(
            $task->id,
            $task->kind,
            $sign,
            $task->title,
            $task->instruction(),
            $task->learning?->piece->title,
            $task->learning?->piece->page->inBook() ?? '',
            $task->hand,
            $task->repetitions,
            $task->tempo,
            $task->half_minutes / 2,
            array_values($task->bars->sortBy('position')->map(BarsResource::of(...))->all()),
            $isTyped && $task->bars->isNotEmpty() && $sign->isPlayed(),
            $task->drill_notes !== null || $task->kind === TaskKind::Sight || ($task->kind === TaskKind::Drill && $isTyped),
            array_values($task->practices->sortBy('on_date')->map(PracticeResource::of(...))->all()),
        );
    }
}

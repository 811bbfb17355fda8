<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\ThisWeekResource;
use App\Models\Learning;
use App\Models\Practice;
use App\Models\Student;
use App\Models\Studio;
use App\Models\Task;
use App\Models\Week;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Practice\Relief;
use Nasturtium\Core\Practice\ReviewSchedule;

/** The first screen: every student by the next lesson, in a number of queries that does not grow with them. */
final class ThisWeek
{
    /** @return list<ThisWeekResource> */
    public function __invoke(Studio $studio): array
    {
        $today = $studio->today();
        $students = Student::query()->where('studio_id', $studio->id)
            ->with([
                'practiceDays', ...Student::TIMETABLE,
                'weeks' => static fn ($weeks) => $weeks->where('ends_on', '>=', $today->toDateString())->orderBy('starts_on')->with(['tasks.days', 'tasks.practices', 'tasks.bars', 'tasks.learning']),
                'learnings' => static fn ($learnings) => $learnings->whereIn('state', ['current', 'finished'])->with(['piece', 'stages' => static fn ($stages) => $stages->whereNull('passed_on')->withCount('misses')]),
            ])->get();
        $rows = [];
        foreach ($students as $student) {
            $rows[] = $this->row($student, $today);
        }
        usort($rows, static fn (ThisWeekResource $a, ThisWeekResource $b): int => [$a->lessonOn, $a->lessonTime] <=> [$b->lessonOn, $b->lessonTime]);

        return $rows;
    }

    private function row(Student $student, CarbonImmutable $today): ThisWeekResource
    {
        $week = $student->weeks->filter(static fn (Week $week): bool => $week->starts_on->lessThanOrEqualTo($today))
            ->sortByDesc(static fn (Week $week): string => $week->starts_on->toDateString())->first() ?? $student->weeks->first();
        $week?->setRelation('student', $student);

        $next = $week !== null && $week->ends_on->greaterThanOrEqualTo($today) && $week->starts_on->lessThan($today)
            ? $week->ends_on
            : $student->lessonOnOrAfter($today);

        return new ThisWeekResource(
            $student->id,
            "{$student->first_name} {$student->initial}.",
            $student->age($today),
            $next->toDateString(),
            $student->lessonTimeOn($next),
            $week?->id,
            $week === null ? [] : WeekDays::of($week),
            $this->stuck($student),
            $this->waiting($student, $week),
            array_values($student->learnings->where('state', 'current')->map(static fn (Learning $learning): string => $learning->piece->title)->all()),
            $this->reviewsDue($student, $today),
            array_values(($week->tasks ?? collect())->filter(static fn (Task $task): bool => $task->days->isEmpty() && $task->left_why !== null)->map(static fn (Task $task): string => "{$task->title}: {$task->left_why}")->all()),
        );
    }

    /** @return list<string> */
    private function stuck(Student $student): array
    {
        $stuck = [];
        foreach ($student->learnings->where('state', 'current') as $learning) {
            foreach ($learning->stages as $stage) {
                if ($stage->misses_count >= Relief::STUCK) {
                    $stuck[] = "{$learning->piece->title}: {$stage->kind}, {$stage->misses_count} lessons";
                }
            }
        }

        return $stuck;
    }

    /** @return list<string> pages that come back for review */
    private function reviewsDue(Student $student, CarbonImmutable $today): array
    {
        $due = $student->learnings->where('state', 'finished')
            ->filter(static fn (Learning $learning): bool => ReviewSchedule::isDue($learning->review_step, (int) ($learning->played_on ?? $learning->opened_on)->diffInDays($today)));

        return array_values($due->map(static fn (Learning $learning): string => $learning->piece->title)->all());
    }

    /** @return list<string> */
    private function waiting(Student $student, ?Week $week): array
    {
        $waiting = [];
        if ($student->learnings->where('state', 'current')->isEmpty()) {
            $waiting[] = 'no page open';
        }
        if ($week === null) {
            $waiting[] = 'no week planned';
        } elseif ($week->sent_at === null) {
            $waiting[] = 'the week is not sent yet';
        }
        $left = $week?->tasks->filter(static fn (Task $task): bool => $task->days->isEmpty())->count() ?? 0;
        if ($left > 0) {
            $waiting[] = $left === 1 ? 'one task found no room' : "{$left} tasks found no room";
        }
        $words = $week?->tasks->flatMap(static fn (Task $task) => $task->practices)->filter(static fn (Practice $practice): bool => $practice->note !== '')->count() ?? 0;
        if ($words > 0) {
            $waiting[] = $words === 1 ? 'a word from home' : "{$words} words from home";
        }

        return $waiting;
    }
}

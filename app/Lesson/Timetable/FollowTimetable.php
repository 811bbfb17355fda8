<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Student\Student;
use App\Week\DayOff;
use App\Week\ReplanWeek;
use App\Week\TaskDay;
use App\Week\Week;
use App\Week\WeekDays;
use Illuminate\Support\Facades\DB;

/** After a holiday was entered or a lesson moved, the week that is under way ends with the next lesson there is, and is planned over its days. */
final class FollowTimetable
{
    public function __construct(private readonly ReplanWeek $replan) {}

    public function __invoke(Student $student): void
    {
        $student->load(Student::TIMETABLE);
        $today = $student->today();
        DB::transaction(function () use ($student, $today): void {
            $week = Week::query()->where('student_id', $student->id)->orderByDesc('starts_on')->lockForUpdate()->first();
            if ($week === null || $week->ends_on->lessThan($today)) {
                return;
            }
            $week->update(['ends_on' => $student->lessonOnOrAfter($today->max($week->starts_on->addDay()))]);
            $this->clear($week);
            ($this->replan)($week, $today->max($week->starts_on));
        });
    }

    /** What stood on days that are no longer for practice has to find others. */
    private function clear(Week $week): void
    {
        $week->refresh()->load(WeekDays::RELATIONS);
        $open = array_keys(array_filter(WeekDays::minutes($week), static fn (int $minutes): bool => $minutes > 0));
        $tasks = $week->tasks->modelKeys();
        TaskDay::query()->whereIn('task_id', $tasks)->whereNotIn('on_date', $open)
            ->whereNotExists(static fn ($practice) => $practice->from('practices')->whereColumn('practices.task_id', 'task_days.task_id')->whereColumn('practices.on_date', 'task_days.on_date'))
            ->delete();
        DayOff::query()->whereIn('task_id', $tasks)->whereNotIn('on_date', $open)->delete();
    }
}

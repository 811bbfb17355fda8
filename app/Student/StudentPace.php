<?php

declare(strict_types=1);

namespace App\Student;

use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\OwnPace;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Score\Fraction;

/** How long a student takes beside what is reckoned: as the teacher has set it, or as it was measured at home (trade 9.5). */
final class StudentPace
{
    public const USUAL = 100;

    /** @return int in percent */
    public static function of(Student $student): int
    {
        return $student->pace ?? self::measured($student->id) ?? self::USUAL;
    }

    /** @return ?int in percent; null while too few tasks were measured */
    public static function measured(int $student): ?int
    {
        $rows = DB::table('practices')->join('tasks', 'tasks.id', '=', 'practices.task_id')
            ->leftJoin('task_days', static fn ($day) => $day->on('task_days.task_id', '=', 'tasks.id')->on('task_days.on_date', '=', 'practices.on_date'))
            ->where('practices.student_id', $student)->where('practices.seconds', '>=', OwnPace::SHORTEST)->where('tasks.kind', '!=', TaskKind::Choice->value)
            ->orderByDesc('practices.on_date')->orderByDesc('practices.id')->limit(OwnPace::LAST)
            ->get([DB::raw('practices.seconds, tasks.pace, coalesce(task_days.half_minutes + task_days.more, tasks.half_minutes) as half_minutes')]);

        return OwnPace::of(array_values($rows->reverse()->filter(static fn (\stdClass $row): bool => $row->half_minutes > 0 && $row->pace > 0)
            // What was reckoned for anybody, before the pace of then.
            ->map(static fn (\stdClass $row): array => [(int) $row->seconds, Fraction::of((int) $row->half_minutes * self::USUAL, (int) $row->pace)])->all()));
    }
}

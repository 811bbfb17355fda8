<?php

declare(strict_types=1);

namespace App\Actions\Progress;

use App\Http\Resources\ProgressTempoResource;
use App\Http\Resources\ProgressTemposResource;
use App\Models\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** How fast each piece was played, at home and at the lessons: the fastest of a day. */
final class Tempi
{
    /** @return list<ProgressTemposResource> pieces in the order they were first played */
    public static function of(Student $student, CarbonImmutable $from, CarbonImmutable $to): array
    {
        $time = [$from->toDateString(), $to->toDateString()];
        $home = DB::table('practices')->join('tasks', 'tasks.id', '=', 'practices.task_id')->join('learnings', 'learnings.id', '=', 'tasks.learning_id')
            ->where('practices.student_id', $student->id)->whereNotNull('tasks.tempo')->whereBetween('practices.on_date', $time)
            ->groupBy('learnings.piece_id', 'practices.on_date')->selectRaw('learnings.piece_id, practices.on_date as day, max(coalesce(practices.tempo, tasks.tempo)) as tempo, 0 as lesson');
        $points = DB::table('tasks')->join('weeks', 'weeks.id', '=', 'tasks.week_id')->join('learnings', 'learnings.id', '=', 'tasks.learning_id')
            ->where('tasks.student_id', $student->id)->whereNotNull('tasks.tempo_reached')->whereNull('tasks.deleted_at')->whereBetween('weeks.ends_on', $time)
            ->groupBy('learnings.piece_id', 'weeks.ends_on')->selectRaw('learnings.piece_id, weeks.ends_on as day, max(tasks.tempo_reached) as tempo, 1 as lesson')
            ->unionAll($home)->orderBy('day')->get();
        $titles = DB::table('pieces')->whereIn('id', $points->pluck('piece_id')->unique())->pluck('title', 'id');
        $tempi = [];
        foreach ($points->groupBy('piece_id') as $piece => $of) {
            $tempi[] = new ProgressTemposResource((string) $titles[$piece], array_values($of->map(
                static fn (\stdClass $point): ProgressTempoResource => new ProgressTempoResource($point->day, (int) $point->tempo, (bool) $point->lesson),
            )->all()));
        }

        return $tempi;
    }
}

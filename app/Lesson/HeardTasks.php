<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Student\Learning\BarsResource;
use App\Week\PracticeResource;
use App\Week\Task;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\Feeling;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Score\Hand;

/** Tasks as they are heard, read bare: a lesson is asked for again after each step of it. */
final class HeardTasks
{
    /** @return list<HeardTaskResource> in the order they were set */
    public static function ofWeek(int $week): array
    {
        // What the student chose is not heard.
        return self::of(static fn (Builder $tasks) => $tasks->where('tasks.week_id', $week)->where('tasks.kind', '!=', TaskKind::Choice->value));
    }

    public static function one(Task $task): HeardTaskResource
    {
        return self::of(static fn (Builder $tasks) => $tasks->where('tasks.id', $task->id))[0] ?? throw new \LogicException('the task was there');
    }

    /**
     * @param  \Closure(Builder): Builder  $which
     * @return list<HeardTaskResource>
     */
    private static function of(\Closure $which): array
    {
        $tasks = static fn (): Builder => $which(DB::table('tasks')->whereNull('tasks.deleted_at'));
        $bars = [];
        foreach ($tasks()->join('task_bars', 'task_bars.task_id', '=', 'tasks.id')->orderBy('task_bars.position')->get(['task_bars.*']) as $row) {
            $bars[$row->task_id][] = BarsResource::over($row->first, $row->last, $row->from_place, $row->to_place);
        }
        $practices = [];
        foreach ($tasks()->join('practices', 'practices.task_id', '=', 'tasks.id')->orderBy('practices.on_date')->get(['practices.*']) as $row) {
            $practices[$row->task_id][] = new PracticeResource($row->id, $row->on_date, $row->repetitions, $row->tempo, Feeling::from($row->feeling), $row->note);
        }
        $rows = $tasks()->leftJoin('learnings', 'learnings.id', '=', 'tasks.learning_id')->leftJoin('pieces', 'pieces.id', '=', 'learnings.piece_id')->orderBy('tasks.id')
            ->select(['tasks.*', 'learnings.piece_id', 'pieces.title as piece'])
            ->selectSub(DB::table('task_days')->selectRaw('count(*)')->whereColumn('task_days.task_id', 'tasks.id'), 'days')->get();
        $heard = [];
        foreach ($rows as $row) {
            $heard[] = new HeardTaskResource(
                $row->id,
                TaskKind::from($row->kind),
                $row->stage_id,
                $row->title,
                Task::said(TaskKind::from($row->kind), $row->stage_id, $row->instruction),
                $row->piece_id,
                $row->piece,
                $row->learning_id,
                Hand::tryFrom($row->hand ?? ''),
                $row->tempo,
                LessonVerdict::tryFrom($row->mark ?? ''),
                $row->tempo_reached,
                $row->heard_note,
                $bars[$row->id] ?? [],
                $row->days,
                $practices[$row->id] ?? [],
            );
        }

        return $heard;
    }
}

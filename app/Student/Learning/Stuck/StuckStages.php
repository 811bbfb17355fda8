<?php

declare(strict_types=1);

namespace App\Student\Learning\Stuck;

use Illuminate\Contracts\Database\Query\Builder as Query;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\Relief;

/** Open stages of current pieces that were heard too often without a pass (trade 12.4), found by the database. */
final class StuckStages
{
    /** @return Builder rows of learning_id, stage_id, stage and misses, of all studios: say whose */
    public static function query(): Builder
    {
        return DB::table('learnings')->join('stages', 'stages.learning_id', '=', 'learnings.id')->join('tasks', 'tasks.stage_id', '=', 'stages.id')
            ->where('learnings.state', LearningState::Current->value)->whereNull('stages.passed_on')->whereNotNull('stages.position')
            ->where(self::misses(...))
            ->groupBy('stages.id', 'stages.learning_id', 'stages.name', 'stages.kind')->having('misses', '>=', Relief::STUCK)
            ->selectRaw("stages.id as stage_id, stages.learning_id, if(stages.name = '', stages.kind, stages.name) as stage, count(distinct tasks.week_id) as misses");
    }

    /** Tasks of stages that count as a miss: heard and not passed, since the stage was last made easier. */
    public static function misses(Query $tasks): void
    {
        $tasks->whereIn('tasks.mark', LessonVerdict::misses())->whereNull('tasks.deleted_at')->whereRaw('tasks.id > coalesce(stages.relieved_after, 0)');
    }

    /** @return list<object{stage_id: int, title: string, stage: string, misses: int}> of a student's current pieces */
    public static function of(int $student): array
    {
        /** @var list<object{stage_id: int, title: string, stage: string, misses: int}> $rows as the columns are */
        $rows = self::query()->join('pieces', 'pieces.id', '=', 'learnings.piece_id')->where('learnings.student_id', $student)
            ->groupBy('pieces.title')->addSelect('pieces.title')->orderBy('stages.id')->get()->all();

        return $rows;
    }
}

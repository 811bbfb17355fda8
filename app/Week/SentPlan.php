<?php

declare(strict_types=1);

namespace App\Week;

use Nasturtium\Core\Practice\Planning\PlanChanges;
use Nasturtium\Core\Practice\Planning\PlannedLine;
use Nasturtium\Core\Practice\TaskKind;

/** A plan as the family has it, kept when it is sent, and what has changed in it since. */
final class SentPlan
{
    /** What a week needs for it. */
    public const RELATIONS = ['tasks.days', 'tasks.learning.piece'];

    /** As it stands in the database now. */
    public static function keep(Week $week): void
    {
        $week->load(self::RELATIONS);
        $week->update(['sent_plan' => array_map(get_object_vars(...), self::lines($week))]);
    }

    /**
     * @param  Week  $week  with what RELATIONS names
     * @return list<string> nothing where it is not sent, or not known what was
     */
    public static function changes(Week $week): array
    {
        if ($week->sent_at === null || $week->sent_plan === null) {
            return [];
        }
        $before = array_map(static fn (array $line): PlannedLine => new PlannedLine(...$line), $week->sent_plan);

        return PlanChanges::between($before, self::lines($week));
    }

    /**
     * @param  Week  $week  with what RELATIONS names
     * @return list<PlannedLine>
     */
    public static function lines(Week $week): array
    {
        // What is left to the student is not told anew.
        return array_values($week->tasks->where('kind', '!=', TaskKind::Choice)->map(static function (Task $task): PlannedLine {
            $piece = $task->learning === null ? '' : ", {$task->learning->piece->title}";

            return new PlannedLine($task->id, "{$task->title}{$piece}", $task->instruction(), WeekDays::dates($task->days));
        })->all());
    }
}

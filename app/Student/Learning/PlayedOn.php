<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Illuminate\Support\Facades\DB;

/** When a piece was played last, from what is kept of it: practice at home, marks at lessons, and the day it was signed off. */
final class PlayedOn
{
    /** @return string|null a date; null when it never was */
    public static function of(Learning $learning): ?string
    {
        $practised = DB::table('practices')->join('tasks', 'tasks.id', '=', 'practices.task_id')->where('tasks.learning_id', $learning->id)->max('practices.on_date');
        $heard = DB::table('tasks')->join('weeks', 'weeks.id', '=', 'tasks.week_id')->leftJoin('lessons', 'lessons.week_id', '=', 'weeks.id')->where('tasks.learning_id', $learning->id)
            ->whereNotNull('tasks.mark')->whereNull('tasks.deleted_at')->max(DB::raw('coalesce(lessons.held_on, weeks.ends_on)'));
        $days = array_filter([$practised, $heard, $learning->finished_on?->toDateString()], is_string(...));

        return $days === [] ? null : max($days);
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use Illuminate\Support\Facades\DB;

/**
 * Counts what the first screen says of weeks, and keeps it with them: half minutes planned and practised by day, words
 * from home, and what found no room. Whoever changes the tasks, the days or the practice of a week has it counted in the
 * same transaction; the week is locked first, so that two who do so at once count one after the other.
 */
final class CountWeeks
{
    /** @param list<int> $weeks */
    public static function of(array $weeks): void
    {
        if ($weeks === []) {
            return;
        }
        $in = implode(',', array_map(intval(...), $weeks));
        DB::transaction(static function () use ($in): void {
            DB::select("select id from weeks where id in ({$in}) for update");
            DB::statement(<<<SQL
                update weeks
                left join (
                    select week_id, json_objectagg(on_date, json_array(planned, practised)) as days, sum(words) as words
                    from (
                        select week_id, on_date, sum(planned) as planned, sum(practised) as practised, sum(words) as words
                        from (
                            select tasks.week_id, task_days.on_date, tasks.half_minutes as planned, 0 as practised, 0 as words
                            from tasks join task_days on task_days.task_id = tasks.id
                            where tasks.week_id in ({$in}) and tasks.deleted_at is null
                            union all
                            select tasks.week_id, practices.on_date, 0, tasks.half_minutes, practices.note != ''
                            from tasks join practices on practices.task_id = tasks.id
                            where tasks.week_id in ({$in}) and tasks.deleted_at is null
                        ) as each_one
                        group by week_id, on_date
                    ) as each_day
                    group by week_id
                ) as done on done.week_id = weeks.id
                left join (
                    select week_id, json_arrayagg(concat(title, ': ', left_why) order by id) as tasks
                    from tasks
                    where week_id in ({$in}) and deleted_at is null and left_why is not null
                    group by week_id
                ) as without_room on without_room.week_id = weeks.id
                set weeks.counted = json_object(
                    'days', json_compact(coalesce(done.days, '{}')),
                    'words', coalesce(done.words, 0),
                    'left', json_compact(coalesce(without_room.tasks, '[]'))
                )
                where weeks.id in ({$in})
                SQL);
        });
    }
}

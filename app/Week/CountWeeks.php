<?php

declare(strict_types=1);

namespace App\Week;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Practice\TaskKind;

/**
 * Counts what the first screen and the progress of a student say of weeks, and keeps it with them: half minutes planned
 * and practised by day (what the student chooses is practised, and planned for nobody), words from home, what found no room, what the teacher overruled, and how fast each piece was
 * played (piece, day, beats a minute, and 1 where it was at the lesson). Whoever changes the tasks, the days, the marks or the practice of a week has it counted in the same
 * transaction; the week is locked first, so that two who do so at once count one after the other.
 *
 * @phpstan-type Counted array{days: array<string, array{int, int}>, words: int, left: list<string>, proposed: int, added: int, removed: int, kept: int}
 * @phpstan-type Tempo array{int, string, int, int}
 */
final class CountWeeks
{
    /**
     * Rows of weeks with what is counted of them; those of which nothing is counted yet are counted now.
     *
     * @param  list<string>  $columns  `counted` or `tempi` among them
     * @return Collection<int, \stdClass>
     */
    public static function with(Builder $weeks, array $columns): Collection
    {
        $rows = $weeks->get(['weeks.id', ...$columns]);
        $unknown = [];
        foreach ($rows as $row) {
            if (($row->counted ?? $row->tempi ?? null) === null) {
                $unknown[] = $row->id;
            }
        }
        if ($unknown === []) {
            return $rows;
        }
        self::of($unknown);

        return $weeks->get(['weeks.id', ...$columns]);
    }

    /** First in a transaction that changes a week and has it counted. */
    public static function lock(int $week): void
    {
        DB::table('weeks')->where('id', $week)->lockForUpdate()->value('id');
    }

    /** @param list<int> $weeks */
    public static function of(array $weeks): void
    {
        if ($weeks === []) {
            return;
        }
        $in = implode(',', array_map(intval(...), $weeks));
        [$days, $tasks, $tempi] = [self::days($in), self::tasks($in), self::tempi($in)];
        DB::transaction(static function () use ($in, $days, $tasks, $tempi): void {
            DB::select("select id from weeks where id in ({$in}) for update");
            DB::statement(<<<SQL
                update weeks
                left join ({$days}) as done on done.week_id = weeks.id
                left join ({$tasks}) as of_tasks on of_tasks.week_id = weeks.id
                left join ({$tempi}) as played on played.week_id = weeks.id
                set weeks.tempi = json_compact(coalesce(played.tempi, '[]')), weeks.counted = json_object(
                    'days', json_compact(coalesce(done.days, '{}')),
                    'words', coalesce(done.words, 0),
                    'kept', coalesce(done.kept, 0),
                    'left', json_compact(coalesce(of_tasks.without_room, '[]')),
                    'proposed', coalesce(of_tasks.proposed, 0),
                    'added', coalesce(of_tasks.added, 0),
                    'removed', coalesce(of_tasks.removed, 0)
                )
                where weeks.id in ({$in})
                SQL);
        });
    }

    /** By week: the days with their half minutes, words from home, and days that the teacher has set. */
    private static function days(string $in): string
    {
        $choice = TaskKind::Choice->value;

        return <<<SQL
            select week_id, json_objectagg(on_date, json_array(planned, practised)) as days, sum(words) as words, sum(kept) as kept
            from (
                select week_id, on_date, sum(planned) as planned, sum(practised) as practised, sum(words) as words, sum(kept) as kept
                from (
                    select tasks.week_id, task_days.on_date, if(tasks.deleted_at is null and tasks.kind != '{$choice}', coalesce(task_days.half_minutes, tasks.half_minutes) + task_days.more, 0) as planned, 0 as practised, 0 as words, task_days.locked as kept
                    from tasks join task_days on task_days.task_id = tasks.id
                    where tasks.week_id in ({$in})
                    union all
                    select tasks.week_id, practices.on_date, 0, coalesce(task_days.half_minutes + task_days.more, tasks.half_minutes), practices.note != '', 0
                    from tasks join practices on practices.task_id = tasks.id left join task_days on task_days.task_id = tasks.id and task_days.on_date = practices.on_date
                    where tasks.week_id in ({$in})
                ) as each_one
                group by week_id, on_date
            ) as each_day
            group by week_id
            SQL;
    }

    /** By week: what found no room and why; tasks that were proposed, added by the teacher, and removed. */
    private static function tasks(string $in): string
    {
        [$own, $later] = [Task::OWN, WeekPlanner::NEXT];

        return <<<SQL
            select week_id, concat('[', group_concat(if(deleted_at is null and left_why != '{$later}', json_quote(concat(title, ': ', left_why)), null) order by id), ']') as without_room,
                sum(why != '{$own}') as proposed, sum(why = '{$own}' and deleted_at is null) as added, sum(deleted_at is not null) as removed
            from tasks
            where week_id in ({$in})
            group by week_id
            SQL;
    }

    /** By week: the fastest of each piece and day at home, and what was reached at the lesson. */
    private static function tempi(string $in): string
    {
        return <<<SQL
            select week_id, json_arrayagg(json_array(piece_id, day, tempo, lesson) order by day, lesson) as tempi
            from (
                select tasks.week_id, learnings.piece_id, practices.on_date as day, max(coalesce(practices.tempo, tasks.tempo)) as tempo, 0 as lesson
                from tasks join practices on practices.task_id = tasks.id join learnings on learnings.id = tasks.learning_id
                where tasks.week_id in ({$in}) and tasks.tempo is not null
                group by tasks.week_id, learnings.piece_id, practices.on_date
                union all
                select tasks.week_id, learnings.piece_id, weeks.ends_on, max(tasks.tempo_reached), 1
                from tasks join weeks on weeks.id = tasks.week_id join learnings on learnings.id = tasks.learning_id
                where tasks.week_id in ({$in}) and tasks.tempo_reached is not null and tasks.deleted_at is null
                group by tasks.week_id, learnings.piece_id, weeks.ends_on
            ) as each_one
            group by week_id
            SQL;
    }
}

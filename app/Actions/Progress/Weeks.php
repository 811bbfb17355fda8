<?php

declare(strict_types=1);

namespace App\Actions\Progress;

use App\Http\Resources\ProgressWeekResource;
use App\Models\Student;
use App\Models\Task;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Reading\NoteStatus;

/** Week by week: planned and practised, in as many queries however many weeks there are. */
final class Weeks
{
    /** @return Collection<int, \stdClass> the weeks that began in the time, in order */
    public static function begun(Student $student, CarbonImmutable $from, CarbonImmutable $to): Collection
    {
        return DB::table('weeks')->where('student_id', $student->id)->whereBetween('starts_on', [$from->toDateString(), $to->toDateString()])
            ->orderBy('starts_on')->get(['id', 'starts_on', 'ends_on']);
    }

    /**
     * @param  Collection<int, \stdClass>  $weeks
     * @param  array<string, list<NoteStatus>>  $known  at the end of each week, by note
     * @return list<ProgressWeekResource>
     */
    public static function of(Collection $weeks, array $known): array
    {
        $ids = $weeks->pluck('id');
        $planned = self::perWeek('task_days', $ids);
        $practised = self::perWeek('practices', $ids);
        $changes = DB::table('tasks')->whereIn('week_id', $ids)->groupBy('week_id')
            ->selectRaw('week_id, sum(why != ?) as proposed, sum(why = ? and deleted_at is null) as added, sum(deleted_at is not null) as removed', [Task::OWN, Task::OWN])->get()->keyBy('week_id');
        $kept = DB::table('task_days')->join('tasks', 'tasks.id', '=', 'task_days.task_id')->whereIn('tasks.week_id', $ids)->where('task_days.locked', true)
            ->groupBy('tasks.week_id')->selectRaw('tasks.week_id, count(*) as days')->pluck('days', 'week_id');
        $rows = [];
        foreach ($weeks->values() as $at => $week) {
            $status = array_map(static fn (array $of): NoteStatus => $of[$at], $known);
            $change = $changes->get($week->id);
            $rows[] = new ProgressWeekResource(
                $week->starts_on,
                (float) ($planned->get($week->id)->half ?? 0) / 2,
                (float) ($practised->get($week->id)->half ?? 0) / 2,
                (int) ($planned->get($week->id)->days ?? 0),
                (int) ($practised->get($week->id)->days ?? 0),
                count(array_filter($status, static fn (NoteStatus $one): bool => $one === NoteStatus::Secure)),
                count(array_filter($status, static fn (NoteStatus $one): bool => $one === NoteStatus::Shaky)),
                (int) ($change->proposed ?? 0),
                (int) ($change->added ?? 0),
                (int) ($change->removed ?? 0),
                (int) $kept->get($week->id, 0),
            );
        }

        return $rows;
    }

    /**
     * @param  Collection<int, mixed>  $weeks
     * @return Collection<array-key, \stdClass> half minutes and days, by week
     */
    private static function perWeek(string $table, Collection $weeks): Collection
    {
        return DB::table($table)->join('tasks', 'tasks.id', '=', "{$table}.task_id")->whereIn('tasks.week_id', $weeks)
            ->when($table === 'task_days', static fn (Builder $days) => $days->whereNull('tasks.deleted_at'))
            ->groupBy('tasks.week_id')->selectRaw("tasks.week_id, sum(tasks.half_minutes) as half, count(distinct {$table}.on_date) as days")->get()->keyBy('week_id');
    }
}

<?php

declare(strict_types=1);

namespace App\Archive;

use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\Csv;
use Nasturtium\Core\Practice\PersonName;

/** Practice and marks as tables, of one student or of all; a quarter of a year at a time, however long a studio is there. */
final class PracticeTable
{
    /** Days that are read at once. */
    private const AT_ONCE = 91;

    /** @return iterable<string> CSV, part by part; each tick a row */
    public static function practice(int $studio, ?int $student): iterable
    {
        $rows = DB::table('practices')->join('tasks', 'tasks.id', '=', 'practices.task_id')->join('students', 'students.id', '=', 'practices.student_id')
            ->leftJoin('learnings', 'learnings.id', '=', 'tasks.learning_id')->leftJoin('pieces', 'pieces.id', '=', 'learnings.piece_id')
            ->leftJoin('task_days', static fn ($day) => $day->on('task_days.task_id', '=', 'tasks.id')->on('task_days.on_date', '=', 'practices.on_date'))
            ->where('practices.studio_id', $studio)->when($student !== null, static fn ($query) => $query->where('practices.student_id', $student))
            ->orderBy('practices.on_date')->orderBy('practices.id')
            ->select(['students.first_name', 'students.initial', 'practices.on_date', 'tasks.title', 'tasks.kind', 'pieces.title as piece', 'tasks.hand', 'practices.repetitions', 'practices.tempo', DB::raw('coalesce(task_days.half_minutes + task_days.more, tasks.half_minutes) as half_minutes'), 'practices.feeling', 'practices.note']);

        yield Csv::write([['student', 'date', 'task', 'kind', 'piece', 'hand', 'times', 'tempo', 'minutes', 'how it went', 'word to the teacher']]);
        foreach (self::quarters($rows, 'practices.on_date') as $some) {
            yield Csv::lines(array_values($some->map(static fn (\stdClass $row): array => [
                (new PersonName($row->first_name, $row->initial))->short(), $row->on_date, $row->title, $row->kind, (string) $row->piece, (string) $row->hand,
                (int) $row->repetitions, (string) $row->tempo, (string) ($row->half_minutes / 2), $row->feeling, $row->note,
            ])->all()));
        }
    }

    /** @return iterable<string> likewise; each task heard a row, with its slips */
    public static function marks(int $studio, ?int $student): iterable
    {
        $rows = DB::table('tasks')->join('weeks', 'weeks.id', '=', 'tasks.week_id')->join('students', 'students.id', '=', 'tasks.student_id')
            ->leftJoin('learnings', 'learnings.id', '=', 'tasks.learning_id')->leftJoin('pieces', 'pieces.id', '=', 'learnings.piece_id')
            ->where('tasks.studio_id', $studio)->where('weeks.studio_id', $studio)->whereNotNull('tasks.mark')->whereNull('tasks.deleted_at')
            ->when($student !== null, static fn ($query) => $query->where('tasks.student_id', $student)->where('weeks.student_id', $student))->orderBy('weeks.ends_on')->orderBy('tasks.id')
            ->select(['tasks.id', 'students.first_name', 'students.initial', 'weeks.ends_on', 'tasks.title', 'pieces.title as piece', 'tasks.mark', 'tasks.tempo', 'tasks.tempo_reached', 'tasks.heard_note']);

        yield Csv::write([['student', 'lesson', 'task', 'piece', 'mark', 'tempo', 'reached', 'note', 'slips']]);
        foreach (self::quarters($rows, 'weeks.ends_on') as $some) {
            $slips = DB::table('slips')->whereIn('task_id', $some->pluck('id'))->orderBy('id')->get(['task_id', 'kind', 'place'])->groupBy('task_id');
            yield Csv::lines(array_values($some->map(static fn (\stdClass $row): array => [
                (new PersonName($row->first_name, $row->initial))->short(), $row->ends_on, $row->title, (string) $row->piece, $row->mark, (string) $row->tempo, (string) $row->tempo_reached, $row->heard_note,
                $slips->get($row->id, collect())->map(static fn (\stdClass $slip): string => "{$slip->kind}: {$slip->place}")->implode('; '),
            ])->all()));
        }
    }

    /**
     * @param  string                                    $on  the day of a row
     * @return iterable<Collection<int, \stdClass>>
     */
    private static function quarters(Builder $rows, string $on): iterable
    {
        [$first, $last] = [$rows->clone()->reorder()->min($on), $rows->clone()->reorder()->max($on)];
        if (! is_string($first) || ! is_string($last)) {
            return;
        }
        for ($from = CarbonImmutable::parse($first); $from->toDateString() <= $last; $from = $from->addDays(self::AT_ONCE)) {
            yield $rows->clone()->whereBetween($on, [$from->toDateString(), $from->addDays(self::AT_ONCE - 1)->toDateString()])->get();
        }
    }
}

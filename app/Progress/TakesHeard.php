<?php

declare(strict_types=1);

namespace App\Progress;

use App\Listening\Judged;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\Median;

/** What was heard of each piece, day by day: how fast, how steady, how often clean. */
final class TakesHeard
{
    /** Of more takes than that the newest are looked at. */
    private const MOST = 2_000;

    /**
     * @param  array<int, string>  $titles  of pieces
     * @return list<ProgressTakesResource> pieces in the order they were first heard
     */
    public static function of(Student $student, array $titles, CarbonImmutable $from, CarbonImmutable $to): array
    {
        $rows = DB::table('takes')->join('tasks', 'tasks.id', '=', 'takes.task_id')->join('learnings', 'learnings.id', '=', 'tasks.learning_id')
            ->where('takes.student_id', $student->id)->whereBetween('takes.on_date', [$from->toDateString(), $to->toDateString()])
            ->orderByDesc('takes.id')->limit(self::MOST)->get(['learnings.piece_id', 'takes.on_date', 'takes.judged'])->reverse();
        $heard = [];
        foreach ($rows as $row) {
            $judged = Judged::read($row->judged);
            if ($judged !== null && isset($titles[$row->piece_id])) {
                $heard[$row->piece_id][$row->on_date][] = $judged;
            }
        }

        return array_values(array_map(static fn (int $piece, array $days): ProgressTakesResource => new ProgressTakesResource($titles[$piece], array_values(array_map(self::day(...), array_keys($days), $days))), array_keys($heard), $heard));
    }

    /** @param non-empty-list<Judged> $takes */
    private static function day(string $date, array $takes): ProgressTakeResource
    {
        $known = static fn (string $name): array => array_values(array_filter(array_map(static fn (Judged $take): ?int => $take->{$name}, $takes), static fn (?int $value): bool => $value !== null));

        return new ProgressTakeResource(
            $date,
            count($takes),
            count(array_filter($takes, static fn (Judged $take): bool => $take->clean)),
            Median::between($known('tempo')),
            Median::between($known('steady')),
        );
    }
}

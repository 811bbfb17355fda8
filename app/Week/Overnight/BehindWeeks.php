<?php

declare(strict_types=1);

namespace App\Week\Overnight;

use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Weeks under way whose night has come, where each student is, and that were not planned since. */
final class BehindWeeks
{
    /** From this hour on what a day held is done: a family that practises late has ticked it. */
    private const FROM_HOUR = 3;

    /** @return list<int> studios that have some */
    public static function studios(): array
    {
        $studios = [];
        foreach (self::zones() as $zone => $today) {
            // Studio by studio, as weeks are found by it and their end.
            $behind = self::in($zone, $today)->whereColumn('weeks.studio_id', 'studios.id');
            array_push($studios, ...array_map(intval(...), DB::table('studios')->whereExists($behind)->pluck('id')->all()));
        }

        return array_values(array_unique($studios));
    }

    /** @return array<int, CarbonImmutable> today where the student is, by week; the first ones of a studio */
    public static function of(int $studio, int $most): array
    {
        $weeks = [];
        foreach (self::zones($studio) as $zone => $today) {
            foreach (self::in($zone, $today)->where('weeks.studio_id', $studio)->orderBy('weeks.id')->limit($most - count($weeks))->pluck('weeks.id') as $id) {
                $weeks[(int) $id] = $today;
            }
        }

        return $weeks;
    }

    /** @return array<string, CarbonImmutable> today in each zone where the night is over */
    private static function zones(?int $studio = null): array
    {
        $of = static fn (string $table, string $column): Builder => DB::table($table)->whereNotNull('timezone')->when($studio !== null, static fn (Builder $rows) => $rows->where($column, $studio))->select('timezone');
        $zones = [];
        foreach ($of('studios', 'id')->union($of('students', 'studio_id'))->pluck('timezone') as $zone) {
            $now = CarbonImmutable::now((string) $zone);
            if ($now->hour >= self::FROM_HOUR) {
                $zones[(string) $zone] = $now->startOfDay()->shiftTimezone('UTC');
            }
        }

        return $zones;
    }

    private static function in(string $zone, CarbonImmutable $today): Builder
    {
        $date = $today->toDateString();

        return DB::table('weeks')
            ->join('students', 'students.id', '=', 'weeks.student_id')
            ->join('studios as own', 'own.id', '=', 'weeks.studio_id')
            ->where('weeks.ends_on', '>', $date)
            ->where('weeks.starts_on', '<', $date)
            ->where(static fn (Builder $week) => $week->whereNull('weeks.planned_on')->orWhere('weeks.planned_on', '<', $date))
            ->whereNull('students.left_on')
            ->whereRaw('coalesce(students.timezone, own.timezone) = ?', [$zone]);
    }
}

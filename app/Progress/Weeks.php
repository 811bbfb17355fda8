<?php

declare(strict_types=1);

namespace App\Progress;

use App\Student\Student;
use App\Week\CountWeeks;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\Pace;
use Nasturtium\Core\Reading\NoteStatus;

/**
 * Week by week: planned and practised, as it was counted when the week changed.
 *
 * @phpstan-import-type Counted from CountWeeks
 */
final class Weeks
{
    /** @return Collection<int, \stdClass> the weeks that touch the time, and the last ones that are over, however long ago, in order */
    public static function lived(Student $student, CarbonImmutable $from, CarbonImmutable $to, CarbonImmutable $today): Collection
    {
        $last = DB::table('weeks')->where('student_id', $student->id)->where('ends_on', '<=', $today->toDateString())->orderByDesc('ends_on')->limit(Pace::WEEKS)->select('id');
        $weeks = DB::table('weeks')->where('student_id', $student->id)->orderBy('starts_on')->where(static fn (Builder $either) => $either
            ->where(static fn (Builder $week) => $week->where('starts_on', '<=', $to->toDateString())->where('ends_on', '>=', $from->toDateString()))
            ->orWhereIn('id', DB::query()->fromSub($last, 'last')->select('id')));

        return CountWeeks::with($weeks, ['starts_on', 'ends_on', 'counted', 'tempi']);
    }

    /**
     * @param  Collection<int, \stdClass>  $weeks
     * @param  array<string, list<NoteStatus>>  $known  at the end of each week, by note
     * @return list<ProgressWeekResource>
     */
    public static function of(Collection $weeks, array $known): array
    {
        $rows = [];
        foreach ($weeks->values() as $at => $week) {
            /** @var Counted $counted */
            $counted = json_decode($week->counted, true, flags: JSON_THROW_ON_ERROR);
            $planned = array_filter(array_column($counted['days'], 0));
            $practised = array_filter(array_column($counted['days'], 1));
            [$secure, $shaky] = [0, 0];
            foreach ($known as $status) {
                $secure += $status[$at] === NoteStatus::Secure ? 1 : 0;
                $shaky += $status[$at] === NoteStatus::Shaky ? 1 : 0;
            }
            $rows[] = new ProgressWeekResource(
                $week->starts_on,
                array_sum($planned) / 2,
                array_sum($practised) / 2,
                count($planned),
                count($practised),
                $secure,
                $shaky,
                $counted['proposed'],
                $counted['added'],
                $counted['removed'],
                $counted['kept'],
            );
        }

        return $rows;
    }
}

<?php

declare(strict_types=1);

namespace App\Week;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * After missed days what is left of a week is planned again over the days that are left (trade 11.4). It is done by night,
 * or when somebody looks at the week before, once a day at most; a week that missed nothing stays as it is.
 */
final class CatchUp
{
    public function __construct(private readonly ReplanWeek $replan) {}

    public function __invoke(Week $week, CarbonImmutable $today): void
    {
        if (! $this->isBehind($week, $today)) {
            return;
        }
        DB::transaction(function () use ($week, $today): void {
            $locked = Week::query()->lockForUpdate()->findOrFail($week->id);
            if ($this->isBehind($locked, $today) && $this->hasMissed($locked, $today)) {
                $this->plan($locked, $today, true);
            }
            $locked->update(['planned_on' => $today]);
        });
        $week->refresh();
    }

    /**
     * A tick that came from a phone without a connection, for a day that had been taken for missed: what was moved because
     * of it is planned again. In the transaction of the tick, which has locked the week.
     */
    public function afterLateTick(Task $task, string $day): void
    {
        $week = Week::query()->findOrFail($task->week_id);
        $today = $week->student->today();
        if ($week->planned_on === null || $day >= $week->planned_on->toDateString() || $today->greaterThanOrEqualTo($week->ends_on)) {
            return;
        }
        if ($task->days()->where('on_date', $day)->get()->contains(static fn (TaskDay $of): bool => ! $of->isFilled())) {
            $this->plan($week, $today, $this->hasMissed($week, $today));
        }
    }

    private function plan(Week $week, CarbonImmutable $today, bool $afterMissed): void
    {
        $asSent = SentPlan::changes($week->load(SentPlan::RELATIONS)) === [];
        ($this->replan)($week, $today, $afterMissed);
        // What a missed day moves, the family sees by itself; the teacher has nothing to send.
        if ($asSent && $week->sent_plan !== null) {
            SentPlan::keep($week);
        }
    }

    private function isBehind(Week $week, CarbonImmutable $today): bool
    {
        return $today->greaterThan($week->starts_on) && $today->lessThan($week->ends_on) && $today->greaterThan($week->planned_on ?? $week->starts_on);
    }

    private function hasMissed(Week $week, CarbonImmutable $today): bool
    {
        foreach ($week->tasks()->with(['days', 'practices'])->get() as $task) {
            foreach ($task->days as $day) {
                if (! $day->isFilled() && $day->on_date->lessThan($today) && ! WeekDays::practisedOn($task, $day->on_date->toDateString())) {
                    return true;
                }
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace App\Week;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/**
 * After missed days what is left of a week is planned again over the days that are left (trade 11.4). It is done when
 * somebody looks at the week, once a day at most; a week that missed nothing stays as it is.
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
                $asSent = SentPlan::changes($locked->load(SentPlan::RELATIONS)) === [];
                ($this->replan)($locked, $today, true);
                // What a missed day moves, the family sees by itself; the teacher has nothing to send.
                if ($asSent && $locked->sent_plan !== null) {
                    SentPlan::keep($locked);
                }
            }
            $locked->update(['planned_on' => $today]);
        });
        $week->refresh();
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

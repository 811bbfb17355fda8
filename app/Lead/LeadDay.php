<?php

declare(strict_types=1);

namespace App\Lead;

use App\Desk\SettingsFor;
use App\Student\Student;
use App\Week\CatchUp;
use App\Week\Task;
use App\Week\TaskBars;
use App\Week\TaskDay;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Lead\LeadRun;
use Nasturtium\Core\Lead\LeadTask;
use Nasturtium\Core\Practice\Care;

/** The led run through the tasks that a day has. */
final class LeadDay
{
    public function __construct(private readonly SettingsFor $settings, private readonly CatchUp $catchUp) {}

    public function __invoke(Student $student): LeadResource
    {
        $today = $student->today();
        $music = new LedMusic($this->settings->counting($student->studio, $student));
        $tasks = $signs = $pieces = [];
        foreach ($this->tasks($student, $today) as [$task, $halfMinutes]) {
            $score = $music->score($task->learning?->piece);
            $sign = TaskSign::of($task->kind, $task->stage?->kind);
            $tasks[] = new LeadTask(
                $task->id,
                $task->title,
                $task->instruction(),
                $sign,
                $score,
                LedMusic::within($score, $task->bars->sortBy('position')->map(static fn (TaskBars $bars): array => [$bars->first, $bars->last])),
                $task->hand,
                $task->tempo,
                $halfMinutes,
            );
            [$signs[$task->id], $pieces[$task->id]] = [$sign, $task->learning?->piece_id];
        }
        $age = $student->age($today);
        $steps = [];
        foreach (LeadRun::of($tasks, LeadRun::triesFirst($age, $student->path), Care::breakAfter($age)) as $step) {
            $steps[] = LeadStepResource::of($step, $signs[$step->task] ?? LeadStepResource::BETWEEN, $pieces[$step->task] ?? null);
        }

        return new LeadResource($student->id, $today->toDateString(), null, $steps, ...$music->of($steps));
    }

    /** @return list<array{Task, int}> in the order of the day, with its half minutes; those that are not ticked yet */
    private function tasks(Student $student, CarbonImmutable $today): array
    {
        $date = $today->toDateString();
        $week = Week::query()->where('student_id', $student->id)->whereNotNull('sent_at')->where('starts_on', '<=', $date)->where('ends_on', '>=', $date)->orderByDesc('starts_on')->first();
        if ($week === null) {
            return [];
        }
        ($this->catchUp)($week, $today);
        $week->load(['tasks.bars', 'tasks.stage', 'tasks.learning.piece', 'tasks.days' => static fn ($days) => $days->where('on_date', $date), 'tasks.practices' => static fn ($practices) => $practices->where('on_date', $date)]);
        $found = [];
        foreach ($week->tasks as $task) {
            $day = $task->days->first();
            if ($day instanceof TaskDay && $task->practices->isEmpty()) {
                $found[] = [$day->position, $day->id, [$task, $day->halfMinutesOf($task->half_minutes)]];
            }
        }
        sort($found);

        return array_column($found, 2);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Path\PathKind;

/**
 * A led run through the tasks of a day, as a teacher goes who sits beside: what is said, played, awaited, one after the other
 * (trade 19.1). Its time is that of the plan.
 */
final class LeadRun
{
    private const REST = 30;

    /** Years. */
    private const TRIES_FROM = 8;

    /** Seconds that the last words and the tick of a task take. */
    private const DONE = 5;

    /** A student who is old enough plays before hearing it, unless the path goes by sound (trade 19.3). */
    public static function triesFirst(int $age, PathKind $path): bool
    {
        return $age >= self::TRIES_FROM && $path !== PathKind::SoundFirst;
    }

    /**
     * @param  list<LeadTask>  $tasks  in the order of the day
     * @param  bool  $triesFirst  the student plays before hearing it
     * @param  int  $breakAfter  minutes
     * @return list<LeadStep>
     */
    public static function of(array $tasks, bool $triesFirst, int $breakAfter): array
    {
        $steps = [];
        $since = 0;
        foreach ($tasks as $i => $task) {
            $own = self::task($task, $triesFirst);
            array_push($steps, ...$own);
            $since += array_sum(array_map(static fn (LeadStep $step): int => $step->seconds, $own));
            if ($since >= 60 * $breakAfter && $i < count($tasks) - 1) {
                $steps[] = new LeadStep(StepKind::Rest, null, 'A break: stand up, shake your hands, look out of the window.', self::REST);
                $since = 0;
            }
        }
        if ($tasks !== []) {
            $steps[] = new LeadStep(StepKind::Say, null, 'That was all for today. Well done.', self::DONE);
        }

        return $steps;
    }

    /** @return list<LeadStep> */
    private static function task(LeadTask $task, bool $triesFirst): array
    {
        $words = $task->title === '' ? $task->instruction : "{$task->title}. {$task->instruction}";
        $say = new LeadStep(StepKind::Say, $task->id, $words, Phrase::secondsToSay($words), ownWords: true);
        $left = max(0, $task->seconds() - $say->seconds - self::DONE);

        return [$say, ...self::work($task, $left, $triesFirst), new LeadStep(StepKind::Done, $task->id, 'That is done.', self::DONE)];
    }

    /** @return list<LeadStep> */
    private static function work(LeadTask $task, int $seconds, bool $triesFirst): array
    {
        return match (true) {
            $task->piece === null || $task->ranges === [] || $task->sign === TaskSign::Look => [new LeadStep(StepKind::Alone, $task->id, $task->sign === TaskSign::Look ? 'Look at it. Press when you have seen it all.' : 'Do it now. Press when it is done.', $seconds, $task->piece === null ? null : $task->ranges[0] ?? null, $task->hand)],
            $task->sign === TaskSign::Listen => self::each($task, $seconds, LeadListening::of(...)),
            $task->sign->isPlayed() => self::each($task, $seconds, static fn (LeadTask $of, array $bars, int $time): array => LeadPlaying::of($of, $bars, $time, $triesFirst)),
            default => self::each($task, $seconds, LeadPreparing::of(...)),
        };
    }

    /**
     * Each of its ranges has its part of the time, by its length.
     *
     * @param  \Closure(LeadTask, array{int, int}, int): list<LeadStep>  $of
     * @return list<LeadStep>
     */
    private static function each(LeadTask $task, int $seconds, \Closure $of): array
    {
        $all = array_sum(array_map(self::bars(...), $task->ranges));
        $steps = [];
        foreach ($task->ranges as $range) {
            array_push($steps, ...$of($task, $range, intdiv($seconds * self::bars($range), max(1, $all))));
        }

        return $steps;
    }

    /** @param array{int, int} $range */
    private static function bars(array $range): int
    {
        return $range[1] - $range[0] + 1;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Score\Hand;

/** Bars that are tapped, named, pointed at, sung or shown with fingers, line by line over the beat; tapping by hands apart first. */
final class LeadPreparing
{
    /** Seconds to name a note (trade 8.3). */
    private const A_NOTE = 3;

    /**
     * @param  array{int, int}  $bars  indices of the first and last measure
     * @return list<LeadStep>
     */
    public static function of(LeadTask $task, array $bars, int $seconds): array
    {
        $piece = $task->piece ?? throw new \LogicException('a task that is prepared has a piece');
        $tempo = Phrase::slower(Phrase::tempo($task), 1);
        $steps = [];
        foreach (self::hands($task) as [$hand, $how]) {
            foreach (Phrases::of($piece, $bars, $hand)->lines as $line) {
                $takes = $task->sign === TaskSign::Say ? self::A_NOTE * self::notes($task, $line) : Phrase::turn($piece, $line, $tempo);
                $steps[] = new LeadStep(StepKind::Along, $task->id, self::words($task->sign, $how, Phrase::name($piece, $line)), $takes, $line, $hand, $tempo);
            }
        }

        // Twice on its first day: there the plan has the time for it.
        return self::within([...$steps, ...$steps], $seconds);
    }

    /** @return list<array{?Hand, string}> */
    private static function hands(LeadTask $task): array
    {
        $isBoth = $task->hand === null && $task->piece?->plays(Hand::Right) === true && $task->piece->plays(Hand::Left);

        return match (true) {
            $task->sign !== TaskSign::Tap || ! $isBoth => [[$task->hand, '']],
            default => [[Hand::Right, 'right hand'], [Hand::Left, 'left hand'], [null, 'both hands']],
        };
    }

    private static function words(TaskSign $sign, string $how, string $bars): string
    {
        $with = $how === '' ? '' : ", {$how}";

        return match ($sign) {
            TaskSign::Tap => "Tap and count {$bars}{$with}.",
            TaskSign::Say => "Name the notes of {$bars}.",
            TaskSign::Fingers => "Fingers in the air: {$bars}.",
            TaskSign::Sing => "Sing {$bars}.",
            default => "Point along {$bars}.",
        };
    }

    /** @param array{int, int} $bars */
    private static function notes(LeadTask $task, array $bars): int
    {
        $count = 0;
        foreach (array_slice($task->piece->measures ?? [], $bars[0], $bars[1] - $bars[0] + 1) as $measure) {
            foreach ($measure->events() as $event) {
                $count += $task->hand === null || $event->hand === $task->hand ? count($event->notes) : 0;
            }
        }

        return max(1, $count);
    }

    /**
     * What does not fit is left out from the end; one step stays.
     *
     * @param  list<LeadStep>  $steps
     * @return list<LeadStep>
     */
    private static function within(array $steps, int $seconds): array
    {
        $kept = [];
        foreach ($steps as $step) {
            if ($kept !== [] && $step->seconds > $seconds) {
                break;
            }
            $kept[] = $step;
            $seconds -= $step->seconds;
        }

        return $kept;
    }
}

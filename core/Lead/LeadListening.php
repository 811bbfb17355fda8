<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

/** Bars that are listened to: once through, and again while there is time. */
final class LeadListening
{
    private const MOST = 3;

    /**
     * @param  array{int, int}  $bars  indices of the first and last measure
     * @return list<LeadStep>
     */
    public static function of(LeadTask $task, array $bars, int $seconds): array
    {
        $piece = $task->piece ?? throw new \LogicException('a task that is listened to has a piece');
        $tempo = Phrase::tempo($task);
        $takes = Phrase::seconds($piece, $bars, $tempo);
        $times = max(1, min(self::MOST, intdiv($seconds, max(1, $takes))));
        $step = static fn (string $words): LeadStep => new LeadStep(StepKind::Play, $task->id, $words, $takes, $bars, $task->hand, $tempo);

        return [$step('Listen, and follow with your finger.'), ...array_fill(0, $times - 1, $step('Listen once more.'))];
    }
}

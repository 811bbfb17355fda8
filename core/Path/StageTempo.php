<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Practice\HeardTempo;
use Nasturtium\Core\Practice\TempoLadder;

/** The tempo at which a stage goes on: that of its ladder, and what was reached or failed at the lessons so far (trade 9.1, 9.2). */
final class StageTempo
{
    /**
     * @param  int  $own  of the stage, beats a minute
     * @param  ?TempoLadder  $ladder  null where the teacher has set none and the stage was never heard
     * @param  list<HeardTempo>  $heard  at lessons, in order
     * @return int beats a minute
     */
    public static function next(StageKind $kind, int $own, ?TempoLadder $ladder, array $heard): int
    {
        $last = $heard[count($heard) - 1] ?? null;
        if ($ladder === null || $last?->asked === null) {
            return $ladder === null || $kind === StageKind::Finish ? $own : $ladder->from;
        }
        if ($last->reached !== null) {
            return $ladder->next($last->reached, $kind === StageKind::TempoLadder);
        }

        return $ladder->next($last->asked, false, self::failures($heard, $last->asked));
    }

    /**
     * @param  list<HeardTempo>  $heard
     * @return int in a row up to the last, at one tempo
     */
    private static function failures(array $heard, int $tempo): int
    {
        $failures = 0;
        foreach (array_reverse($heard) as $one) {
            if (! $one->mark->isMiss() || $one->asked !== $tempo) {
                break;
            }
            $failures++;
        }

        return $failures;
    }
}

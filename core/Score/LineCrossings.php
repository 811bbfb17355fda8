<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Whether anything goes on from one printed line to the next: a tie, a slur, a hairpin, an octave line, the pedal. */
final readonly class LineCrossings
{
    public static function any(Piece $piece): bool
    {
        $slurs = 0;
        /** @var array<string, true> $lines open, by their end and staff */
        $lines = [];
        foreach ($piece->measures as $measure) {
            if ($measure->newLine && $measure->index > 0 && ($slurs > 0 || $lines !== [] || self::tied($piece->measures[$measure->index - 1]))) {
                return true;
            }
            foreach ($measure->events() as $event) {
                foreach ($event->ink->slurs as $end) {
                    $slurs = max(0, $slurs + ($end->starts ? 1 : -1));
                }
            }
            foreach ($measure->signs as $sign) {
                $end = $sign->kind->end();
                if ($end !== null) {
                    $lines["{$end->value} {$sign->staff->value}"] = true;
                } elseif ($sign->kind->isEnd()) {
                    unset($lines["{$sign->kind->value} {$sign->staff->value}"]);
                }
            }
        }

        return false;
    }

    private static function tied(Measure $measure): bool
    {
        foreach ($measure->events() as $event) {
            foreach ($event->notes as $note) {
                if ($note->tieStart && $event->end->equals($measure->length)) {
                    return true;
                }
            }
        }

        return false;
    }
}

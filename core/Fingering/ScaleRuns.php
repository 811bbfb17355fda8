<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Event;

/** Where single notes run by step in one direction for longer than a hand has fingers: there the thumb goes under. */
final readonly class ScaleRuns
{
    /** Notes of a run; a shorter one is played by moving the hand. */
    private const LEAST = 7;

    /**
     * @param  list<Event>  $struck
     * @return list<int> for each event 1 where such a run goes up to it from the one before, -1 where it goes down, else 0
     */
    public static function into(array $struck): array
    {
        $into = array_fill(0, count($struck), 0);
        $first = 0;
        $direction = 0;
        foreach ($struck as $i => $event) {
            $step = $i === 0 || count($event->notes) > 1 || count($struck[$i - 1]->notes) > 1 ? 0 : $event->lowest()->diatonic() - $struck[$i - 1]->lowest()->diatonic();
            if (abs($step) === 1 && $step === $direction) {
                continue;
            }
            self::mark($into, $first, $i - 1, $direction);
            $first = abs($step) === 1 ? $i - 1 : $i;
            $direction = abs($step) === 1 ? $step : 0;
        }
        self::mark($into, $first, count($struck) - 1, $direction);

        return array_values($into);
    }

    /** @param array<int, int> $into */
    private static function mark(array &$into, int $first, int $last, int $direction): void
    {
        if ($last - $first + 1 >= self::LEAST) {
            for ($i = $first + 1; $i <= $last; $i++) {
                $into[$i] = $direction;
            }
        }
    }
}

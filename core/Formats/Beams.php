<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;

/** Which short notes share a beam: those of one felt beat. */
final readonly class Beams
{
    /** @return array<string, string> begin, continue or end, by event id */
    public static function of(Measure $measure, Hand $hand): array
    {
        $felt = $measure->meter->isCompound() ? Fraction::of(3, 8) : Fraction::of(1, $measure->meter->unit === 8 ? 8 : 4);
        if ($measure->meter->unit === 8 && $measure->meter->count === 3) {
            $felt = Fraction::of(3, 8);
        }
        $groups = [];
        foreach ($measure->of($hand) as $event) {
            $short = ! $event->isRest() && $event->duration->whole->compare(Fraction::of(1, 4)) < 0;
            $beat = $measure->offset->plus($event->onset)->dividedBy($felt)->floor();
            $groups[$short ? "b{$beat}" : "x{$event->id}"][] = $event;
        }
        $beams = [];
        foreach ($groups as $name => $group) {
            if ($name[0] === 'b' && count($group) > 1) {
                $beams += self::joined($group);
            }
        }

        return $beams;
    }

    /**
     * @param  list<Event>  $group
     * @return array<string, string>
     */
    private static function joined(array $group): array
    {
        $beams = [];
        foreach ($group as $i => $event) {
            $beams[$event->id] = match ($i) {
                0 => 'begin',
                count($group) - 1 => 'end',
                default => 'continue',
            };
        }

        return $beams;
    }
}

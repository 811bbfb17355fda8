<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;

/** What a bar sounds like, as a text that is the same for equal bars (trade 6.1). Fingers and words do not matter. */
final class Bars
{
    /** @var \WeakMap<Measure, array<string, string>>|null notes by hand: each bar is asked for again and again */
    private static ?\WeakMap $kept = null;

    /** Same onsets, durations and pitches; empty when the hand rests. */
    public static function same(Measure $measure, Hand $hand): string
    {
        /** @var \WeakMap<Measure, array<string, string>> $kept */
        $kept = self::$kept ??= new \WeakMap();
        $said = $kept[$measure] ?? [];
        if (! isset($said[$hand->value])) {
            $said[$hand->value] = self::describe($measure, $hand, self::notes(...));
            $kept[$measure] = $said;
        }

        return $said[$hand->value];
    }

    private static function notes(Event $event): string
    {
        $said = '';
        foreach ($event->notes as $note) {
            $said .= $note->pitch->name().($note->tieStop ? '~+' : '+');
        }

        return $said;
    }

    /** Same onsets and durations. */
    public static function rhythm(Measure $measure, Hand $hand): string
    {
        return self::describe($measure, $hand, static fn (Event $event): string => $event->isHeld() ? '~' : '');
    }

    /** Same rhythm and same moves, from whatever note. */
    public static function shape(Measure $measure, Hand $hand): string
    {
        $from = null;

        return self::describe($measure, $hand, static function (Event $event) use (&$from): string {
            $from ??= $event->lowest()->diatonic();
            $steps = array_map(static fn (Note $note): int => $note->pitch->diatonic() - $from, $event->notes);

            return implode('+', $steps).($event->isHeld() ? '~' : '');
        });
    }

    /** Both hands; empty when nothing sounds. */
    public static function both(Measure $measure): string
    {
        [$right, $left] = [self::same($measure, Hand::Right), self::same($measure, Hand::Left)];

        return $right === '' && $left === '' ? '' : "R {$right} L {$left}";
    }

    /** @param \Closure(Event): string $say */
    private static function describe(Measure $measure, Hand $hand, \Closure $say): string
    {
        $said = '';
        foreach ($measure->inTime($hand) as $event) {
            if (! $event->isRest()) {
                $said .= "{$event->onset}:{$event->duration->whole}:{$say($event)} ";
            }
        }

        return $said === '' ? '' : "{$measure->length} {$said}";
    }
}

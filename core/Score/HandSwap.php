<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** What the right hand plays goes to the left, and the other way, each with its staff and clef; the keys stay. */
final readonly class HandSwap
{
    public static function of(Piece $piece): Piece
    {
        return $piece->withMeasures(array_map(self::measure(...), $piece->measures));
    }

    private static function measure(Measure $measure): Measure
    {
        return new Measure(
            $measure->index,
            $measure->number,
            $measure->meter,
            $measure->key,
            $measure->length,
            array_map(self::event(...), $measure->left),
            array_map(self::event(...), $measure->right),
            $measure->pickup,
            $measure->repeatStart,
            $measure->repeatEnd,
            $measure->endings,
            $measure->newLine,
            $measure->times,
            array_map(self::event(...), $measure->inner),
            ['R' => $measure->clefs['L'], 'L' => $measure->clefs['R']],
            array_map(static fn (Change $change): Change => new Change($change->onset, $change->staff?->other(), $change->to), $measure->changes),
            array_map(static fn (Sign $sign): Sign => $sign->on($sign->staff->other()), $measure->signs),
            $measure->navigation,
            $measure->barStyle,
            $measure->after,
            $measure->sameAsBefore,
        );
    }

    private static function event(Event $event): Event
    {
        return new Event(
            $event->hand->other()->value.substr($event->id, 1),
            $event->hand->other(),
            $event->clef,
            $event->measure,
            $event->onset,
            $event->duration,
            $event->notes,
            $event->ink,
            $event->voice,
            $event->crossed,
            $event->ottava,
        );
    }
}

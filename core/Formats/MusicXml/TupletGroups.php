<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Tuplet;

/** Where tuplets begin and end in a measure of one voice; a source may say it, or leave it to the lengths. */
final readonly class TupletGroups
{
    /** @param list<ReadNote> $notes of one voice, in time */
    public static function close(array $notes): void
    {
        $open = null;
        $said = false;
        $from = Fraction::zero();
        foreach ($notes as $i => $note) {
            $tuplet = $note->tuplet;
            $before = $notes[$i - 1] ?? null;
            if ($open !== null && ($tuplet === null || $tuplet->starts || ! $tuplet->ratio()->equals($open->ratio()))) {
                self::stop($before);
                $open = null;
            }
            if ($tuplet === null) {
                continue;
            }
            if ($open === null) {
                [$open, $said, $from] = [$note, $tuplet->starts, $note->onset];
                $note->tuplet = new Tuplet($tuplet->actual, $tuplet->normal, true, $tuplet->stops);
                $open = $note->tuplet;
                $unit = $note->length->whole;
            }
            $unit = isset($unit) && $unit->compare($note->length->whole) < 0 ? $unit : $note->length->whole;
            $full = $unit->times(Fraction::of($tuplet->actual));
            $so = $note->onset->plus($note->length->whole)->minus($from);
            if ($tuplet->stops || (! $said && $so->compare($full) >= 0)) {
                self::stop($note);
                $open = null;
            }
        }
        if ($open !== null) {
            self::stop($notes[count($notes) - 1] ?? null);
        }
    }

    private static function stop(?ReadNote $note): void
    {
        if ($note?->tuplet !== null) {
            $note->tuplet = new Tuplet($note->tuplet->actual, $note->tuplet->normal, $note->tuplet->starts, true);
        }
    }
}

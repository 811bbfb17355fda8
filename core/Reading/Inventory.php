<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Place;

/** The notes of a page by clef and pitch (trade 3.6). */
final readonly class Inventory
{
    /**
     * @param  int  $octave  that it is played above what is written, as in a duet
     * @return list<InventoryNote> treble before bass, low before high
     */
    public static function of(Piece $piece, School $school, Landmarks $landmarks, KnownNotes $known, ?Phrases $phrases = null, int $octave = 0): array
    {
        $found = [];
        foreach ($piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                foreach ($event->notes as $note) {
                    $at = "{$event->clef->value} {$note->pitch->name()}";
                    $found[$at] ??= [$event->clef, $note->pitch, $measure->place($event->onset), [], StaffPlace::of($note->pitch, $event->clef, $event->ottava)];
                    $found[$at][3][] = $event->id;
                    if (self::earlier($measure->place($event->onset), $found[$at][2])) {
                        $found[$at][2] = $measure->place($event->onset);
                    }
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => [$b[0]->value, $a[1]->midi()] <=> [$a[0]->value, $b[1]->midi()]);

        $onStaff = $piece->notation->hasStaff();
        $phrases ??= Phrases::usual();

        return array_map(static function (array $entry) use ($school, $landmarks, $known, $onStaff, $phrases, $octave): InventoryNote {
            [$clef, $pitch, $first, $events, $staff] = $entry;
            $landmark = $landmarks->nearest($pitch, $clef);
            $played = Pitch::ofDiatonic($pitch->diatonic() + 7 * $octave, $pitch->alter);

            return new InventoryNote(
                $clef,
                $pitch,
                count($events),
                $first,
                $events,
                $known->status($pitch, $clef),
                $onStaff ? $staff : '',
                // Without a staff there is nothing to read: the key is found from the picture of the keyboard.
                $onStaff ? Route::to($pitch, $clef, $school, $landmarks, $phrases) : KeyPlace::of($played),
                KeyPlace::of($played),
                $played->midi(),
                $landmark,
                $pitch->diatonic() - $landmark->diatonic(),
            );
        }, $found);
    }

    private static function earlier(Place $a, Place $b): bool
    {
        return $a->measure === $b->measure && $a->beats->compare($b->beats) < 0;
    }
}

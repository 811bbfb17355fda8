<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/**
 * What was read as a document: staves from 1 at the top, bars from 1, onsets and lengths in quarter notes.
 *
 * @phpstan-type Written array{
 *     clefs: list<string>, key: int, time: array{int, int}, bars: int, repeats: list<array{int, 'start'|'end'}>,
 *     notes: list<array{staff: int, bar: int, onset: float, dur: float, midi: int, finger: int|null}>,
 *     rests: list<array{staff: int, bar: int, onset: float, dur: float}>,
 *     doubts: list<array{bar: int, staff: int, why: string}>}
 */
final class PhotoDocument
{
    /** @return Written */
    public static function of(ReadPhoto $read): array
    {
        $document = ['clefs' => array_map(static fn (Clef $clef): string => $clef->sign(), $read->clefs), 'key' => $read->fifths, 'time' => $read->time, 'bars' => count($read->bars), 'repeats' => [], 'notes' => [], 'rests' => [], 'doubts' => []];
        foreach ($read->bars as $n => $bar) {
            if ($bar->repeatStart) {
                $document['repeats'][] = [$n + 1, 'start'];
            }
            if ($bar->repeatEnd) {
                $document['repeats'][] = [$n + 1, 'end'];
            }
            foreach ($bar->doubts as [$staff, $why]) {
                $document['doubts'][] = ['bar' => $n + 1, 'staff' => $staff, 'why' => $why];
            }
            foreach ($bar->staves as $i => $items) {
                $pitches = $read->pitches($items, $i);
                foreach ($items as $k => $item) {
                    $place = ['staff' => $i + 1, 'bar' => $n + 1, 'onset' => $item->onset / Item::QUARTER, 'dur' => $item->ticks() / Item::QUARTER];
                    if ($item->isRest()) {
                        $document['rests'][] = $place;
                    }
                    foreach ($item->heads as $h => $head) {
                        $document['notes'][] = [...$place, 'midi' => $pitches[$k][$h]->midi(), 'finger' => $head->finger];
                    }
                }
            }
        }

        return $document;
    }
}

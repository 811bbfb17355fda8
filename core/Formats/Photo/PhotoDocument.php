<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/**
 * What was read as a document: staves from 1 at the top, bars from 1 through the whole page, onsets and lengths in quarter
 * notes. Clefs, key and time are those of the first piece; where a page has several, each is told with the bar it begins in.
 *
 * @phpstan-type Written array{
 *     clefs: list<string>, key: int, time: array{int, int}, bars: int, repeats: list<array{int, 'start'|'end'}>,
 *     notes: list<array{staff: int, bar: int, onset: float, dur: float, midi: int, finger: int|null}>,
 *     rests: list<array{staff: int, bar: int, onset: float, dur: float}>,
 *     doubts: list<array{bar: int, staff: int, why: string}>,
 *     pieces: list<array{bar: int, title: string, clefs: list<string>, key: int, time: array{int, int}}>}
 */
final class PhotoDocument
{
    /** @return Written */
    public static function of(ReadPage $page): array
    {
        $first = $page->pieces[0];
        $document = ['clefs' => self::clefs($first), 'key' => $first->fifths, 'time' => self::time($first), 'bars' => 0, 'repeats' => [], 'notes' => [], 'rests' => [], 'doubts' => [], 'pieces' => []];
        foreach ($page->pieces as $piece) {
            $document['pieces'][] = ['bar' => $document['bars'] + 1, 'title' => $piece->title, 'clefs' => self::clefs($piece), 'key' => $piece->fifths, 'time' => self::time($piece)];
            foreach ($piece->bars as $bar) {
                $n = ++$document['bars'];
                if ($bar->repeatStart) {
                    $document['repeats'][] = [$n, 'start'];
                }
                if ($bar->repeatEnd) {
                    $document['repeats'][] = [$n, 'end'];
                }
                foreach ($bar->doubts as [$staff, $why]) {
                    $document['doubts'][] = ['bar' => $n, 'staff' => $staff, 'why' => $why];
                }
                [$notes, $rests] = self::signs($piece, $bar, $n);
                array_push($document['notes'], ...$notes);
                array_push($document['rests'], ...$rests);
            }
        }

        return $document;
    }

    /** @return list<string> */
    private static function clefs(ReadPhoto $piece): array
    {
        return array_map(static fn (Clef $clef): string => $clef->sign(), $piece->clefs);
    }

    /** @return array{int, int} beats and their unit */
    private static function time(ReadPhoto $piece): array
    {
        return [$piece->time->count, $piece->time->unit];
    }

    /**
     * @return array{list<array{staff: int, bar: int, onset: float, dur: float, midi: int, finger: int|null}>, list<array{staff: int, bar: int, onset: float, dur: float}>}
     */
    private static function signs(ReadPhoto $piece, ReadBar $bar, int $n): array
    {
        [$notes, $rests] = [[], []];
        foreach ($bar->staves as $i => $signs) {
            $pitches = $piece->pitches($bar, $i);
            foreach ($signs as $k => $sign) {
                $place = ['staff' => $i + 1, 'bar' => $n, 'onset' => $sign->onset / Item::QUARTER, 'dur' => $sign->ticks() / Item::QUARTER];
                if ($sign->isRest()) {
                    $rests[] = $place;
                }
                foreach ($sign->heads as $h => $head) {
                    $notes[] = [...$place, 'midi' => $pitches[$k][$h]->midi(), 'finger' => $head->finger];
                }
            }
        }

        return [$notes, $rests];
    }
}

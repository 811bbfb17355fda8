<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\DraftEvent;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Ink;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\Tuplet;
use Nasturtium\Core\Score\TupletGroups;

/** Makes a piece of what was read, as if it had been typed. */
final class PhotoPiece
{
    /** @throws InvalidScore when what was read is more than a page holds */
    public static function of(ReadPhoto $read): Piece
    {
        $builder = new PieceBuilder();
        $hands = count($read->clefs) === 1 && $read->clefs[0]->isLow() ? [Hand::Left] : [Hand::Right, Hand::Left];
        $key = new Key($read->fifths);
        $meter = new Meter($read->time[0], $read->time[1]);
        foreach ($read->bars as $n => $bar) {
            $draft = $builder->measure($meter, $key, newLine: $bar->newLine && $n > 0);
            $draft->repeatStart = $bar->repeatStart;
            $draft->repeatEnd = $bar->repeatEnd;
            foreach ($bar->staves as $i => $items) {
                $hand = $hands[$i] ?? Hand::Left;
                if ($n === 0) {
                    $draft->clefs[] = [Fraction::zero(), $hand, $read->clefs[$i] ?? Clef::Treble];
                }
                $pitches = $read->pitches($items, $i);
                $lengths = array_map(static fn (Item $item): Duration => Duration::ofWhole(self::whole($item->ticks())), $items);
                $tuplets = TupletGroups::of(array_map(static fn (Item $item, Duration $length): array => [self::whole($item->onset), $length->whole, Tuplet::fitting($length)], $items, $lengths));
                foreach ($items as $k => $item) {
                    $notes = [];
                    foreach ($item->heads as $h => $head) {
                        $notes[] = new Note($pitches[$k][$h], $head->finger);
                    }
                    $draft->events[] = new DraftEvent($hand, '1', self::whole($item->onset), $lengths[$k], $notes, new Ink(tuplet: $tuplets[$k] ?? null), false);
                }
            }
        }

        return $builder->piece();
    }

    private static function whole(int $ticks): Fraction
    {
        return Fraction::of($ticks, 4 * Item::QUARTER);
    }
}

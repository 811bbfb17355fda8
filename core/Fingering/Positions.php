<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/** Where the hands lie, by name (trade 4.1). */
final readonly class Positions
{
    private const C4 = 28;

    private const G4 = 32;

    private const C3 = 21;

    private const G3 = 25;

    private const G2 = 18;

    /** @return list<Position> of one hand, in order */
    public static function of(Piece $piece, HandFingers $fingers, Hand $hand, ?HandFingers $other): array
    {
        $positions = [];
        $count = count($fingers->placed);
        $other = $other->placed ?? [];
        $otherAt = 0;
        for ($first = 0; $first < $count; $first = $last + 1) {
            [$event, $frame] = [$fingers->placed[$first]->event, $fingers->placed[$first]->frame];
            $last = $first;
            while ($last + 1 < $count && $fingers->placed[$last + 1]->frame === $frame) {
                $last++;
            }
            while ($otherAt + 1 < count($other) && $other[$otherAt + 1]->event->measure <= $event->measure) {
                $otherAt++;
            }
            $key = $piece->measures[$event->measure]->key;
            $under = array_map(static fn (int $finger): Pitch => $frame->pitch($finger, $key), range(1, 5));
            $thumb = $frame->pitch(1, $key);
            $far = $frame->pitch(5, $key);
            $positions[] = new Position(
                $hand,
                $piece->place($event),
                $piece->place($fingers->placed[$last]->event),
                $thumb,
                $hand === Hand::Right ? $thumb : $far,
                $hand === Hand::Right ? $far : $thumb,
                array_map(static fn (Pitch $pitch): int => $pitch->midi(), $under),
                self::name($hand, $frame, ($other[$otherAt] ?? null)?->frame->thumb, $thumb),
            );
        }

        return $positions;
    }

    /** @param int|null $other the other hand's thumb when this one takes its position: its last one up to this measure, else its first */
    private static function name(Hand $hand, Frame $frame, ?int $other, Pitch $pitch): string
    {
        $middle = $frame->thumb === self::C4 && ($other === self::C4 || ($hand === Hand::Left && $other === null));
        $little = $frame->thumb - 4;
        $name = match (true) {
            // A thumb on a black key is named by it, never by its letter.
            $pitch->alter !== 0 => "thumb on {$pitch->name()}",
            $middle => 'middle C position',
            $hand === Hand::Right && $frame->thumb === self::C4, $hand === Hand::Left && $little === self::C3 => 'C position',
            $hand === Hand::Right && $frame->thumb === self::G4, $hand === Hand::Left && in_array($little, [self::G2, self::G3], true) => 'G position',
            default => "thumb on {$pitch->name()}",
        };

        return $frame->isOpen() ? "{$name}, open hand" : $name;
    }
}

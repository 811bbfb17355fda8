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
            [$event, $thumb] = [$fingers->placed[$first]->event, $fingers->placed[$first]->thumb];
            $last = $first;
            while ($last + 1 < $count && $fingers->placed[$last + 1]->thumb === $thumb) {
                $last++;
            }
            while ($otherAt + 1 < count($other) && $other[$otherAt + 1]->event->measure <= $event->measure) {
                $otherAt++;
            }
            $far = $thumb + 4 * $hand->direction();
            $key = $piece->measures[$event->measure]->key;
            $pitch = static fn (int $diatonic): Pitch => Pitch::ofDiatonic($diatonic, $key->alters(($diatonic % 7 + 7) % 7));
            $positions[] = new Position(
                $hand,
                $piece->place($event),
                $piece->place($fingers->placed[$last]->event),
                $pitch($thumb),
                $pitch(min($thumb, $far)),
                $pitch(max($thumb, $far)),
                array_map(static fn (int $finger): int => $pitch($thumb + $finger * $hand->direction())->midi(), range(0, 4)),
                self::name($hand, $thumb, ($other[$otherAt] ?? null)?->thumb, $pitch($thumb)),
            );
        }

        return $positions;
    }

    /** @param int|null $other the other hand's thumb when this one takes its position: its last one up to this measure, else its first */
    private static function name(Hand $hand, int $thumb, ?int $other, Pitch $pitch): string
    {
        $middle = $thumb === self::C4 && ($other === self::C4 || ($hand === Hand::Left && $other === null));
        $little = $thumb - 4;

        return match (true) {
            $middle => 'middle C position',
            $hand === Hand::Right && $thumb === self::C4, $hand === Hand::Left && $little === self::C3 => 'C position',
            $hand === Hand::Right && $thumb === self::G4, $hand === Hand::Left && in_array($little, [self::G2, self::G3], true) => 'G position',
            default => "thumb on {$pitch->name()}",
        };
    }
}

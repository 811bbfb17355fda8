<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Note;

/** One way for a hand to take a note or a chord: where the thumb lies, and the finger of each note. */
final readonly class Grip
{
    /** Dearer than moving away and back again: do not stretch, move. */
    private const STRETCH = 24;

    private const WIDE = 12;

    /**
     * @param  int  $thumb  letter count of the thumb's key from C0
     * @param  list<int|null>  $fingers  lowest note first
     */
    private function __construct(public int $thumb, public array $fingers, public int $cost) {}

    /**
     * Every grip that a struck event allows, fingers that are set obeyed.
     *
     * @param  list<int|null>  $set  for each note, lowest first
     * @return list<self> empty when a finger that is set makes it impossible
     */
    public static function of(Event $event, Hand $hand, array $set): array
    {
        return array_values(array_filter(
            self::any($event, $hand),
            static fn (self $grip): bool => $grip->obeys($set),
        ));
    }

    /** @return list<self> every grip, whatever is set */
    public static function any(Event $event, Hand $hand): array
    {
        $direction = $hand->direction();
        // Along the hand: from the thumb outwards, whichever way the pitch runs.
        $keys = array_map(static fn (Note $note): int => $note->pitch->diatonic() * $direction, $event->notes);
        sort($keys);
        $grips = [];
        $span = $keys[count($keys) - 1] - $keys[0];
        for ($first = 1; $span <= 5 && $first <= 5; $first++) {
            $grips[] = self::within($keys, $keys[0] - $first + 1, 0, 0);
        }
        if ($span <= 5) {
            $grips[] = self::within($keys, $keys[0] + 1, 1, 0);
            $grips[] = self::within($keys, $keys[count($keys) - 1] - 5, 0, 1);
        }
        $grips = array_values(array_filter($grips));
        if ($grips === []) {
            $grips = [self::wide($keys)];
        }

        return array_map(static fn (self $grip): self => new self(
            $grip->thumb * $direction,
            $hand === Hand::Right ? $grip->fingers : array_reverse($grip->fingers),
            $grip->cost,
        ), $grips);
    }

    /**
     * @param  list<int>  $keys
     * @param  int  $below  how far the thumb may reach outside the position
     * @param  int  $above  how far the little finger may
     */
    private static function within(array $keys, int $thumb, int $below, int $above): ?self
    {
        $fingers = [];
        foreach ($keys as $key) {
            $finger = match (true) {
                $key === $thumb - $below && $below > 0 => 1,
                $key === $thumb + 4 + $above && $above > 0 => 5,
                default => $key - $thumb + 1,
            };
            $last = $fingers[count($fingers) - 1] ?? 0;
            if ($finger < 1 || $finger > 5 || $finger <= $last) {
                return null;
            }
            $fingers[] = $finger;
        }

        return new self($thumb, $fingers, $below + $above > 0 ? self::STRETCH : 0);
    }

    /**
     * A chord wider than a position: thumb and little finger at its ends, the others between them.
     *
     * @param  list<int>  $keys
     */
    private static function wide(array $keys): self
    {
        $count = count($keys);
        $span = max(1, $keys[$count - 1] - $keys[0]);
        $fingers = [];
        foreach ($keys as $i => $key) {
            $ideal = 1 + intdiv(4 * ($key - $keys[0]), $span);
            $fingers[] = $count > 5 ? null : max($i + 1, min(6 - $count + $i, $ideal, 5));
        }

        return new self($keys[0], $fingers, self::WIDE);
    }

    /** @param list<int|null> $set */
    private function obeys(array $set): bool
    {
        foreach ($set as $i => $finger) {
            if ($finger !== null && $finger !== $this->fingers[$i]) {
                return false;
            }
        }

        return true;
    }
}

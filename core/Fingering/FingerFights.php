<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/**
 * A printed finger fights its surroundings when the hand leaves for a few notes and comes back, though every one of
 * them lay under it (trade 4.3).
 */
final readonly class FingerFights
{
    /** The most notes for which leaving and coming back is called a fight. */
    private const FIGHT = 4;

    /**
     * @param  list<Placed>  $placed
     * @return list<Check>
     */
    public static function of(Piece $piece, Hand $hand, array $placed): array
    {
        $checks = [];
        $count = count($placed);
        for ($first = 1; $first < $count; $first = $last + 1) {
            $last = $first;
            $around = $placed[$first - 1]->frame->thumb;
            while ($placed[$first]->frame->thumb !== $around && $last + 1 < $count && $placed[$last + 1]->frame->thumb === $placed[$first]->frame->thumb) {
                $last++;
            }
            $back = $last + 1 < $count && $placed[$last + 1]->frame->thumb === $around;
            if ($placed[$first]->frame->thumb !== $around && $back && $last - $first < self::FIGHT) {
                $events = array_map(static fn (Placed $one): Event => $one->event, array_slice($placed, $first, $last - $first + 1));
                array_push($checks, ...self::fight($piece, $hand, $events, $around));
            }
        }

        return $checks;
    }

    /**
     * @param  list<Event>  $events
     * @return list<Check>
     */
    private static function fight(Piece $piece, Hand $hand, array $events, int $around): array
    {
        $under = static fn (Pitch $pitch): int => ($pitch->diatonic() - $around) * $hand->direction() + 1;
        $checks = [];
        foreach ($events as $event) {
            $place = $piece->place($event);
            foreach ($event->notes as $note) {
                $finger = $under($note->pitch);
                if ($finger < 1 || $finger > 5) {
                    return [];
                }
                if ($note->finger !== null && $note->finger !== $finger) {
                    $checks[] = new Check(
                        'finger_fights',
                        $place,
                        $hand,
                        ucfirst($hand->word())." at {$place}: the printed finger {$note->finger} on {$note->pitch->name()} takes the hand away and back again; where the hand lies it would be finger {$finger}.",
                        [$event->id],
                    );
                }
            }
        }

        return $checks;
    }
}

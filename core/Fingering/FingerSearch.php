<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/**
 * The fingers of a whole hand part at least cost (handbook 4): stay; else shift, dearer the farther and cheaper
 * with time; else stretch. Linear in the length of the part: each event has at most seven grips.
 */
final class FingerSearch
{
    private const SHIFT = 4;

    /** The most notes for which leaving and coming back is called a fight. */
    private const FIGHT = 4;

    /** Thumb keys of the named positions, by hand: C4 and G4; C4, G3, D4 and D3. */
    private const NAMED = ['R' => [28, 32], 'L' => [28, 25, 29, 22]];

    /** @var list<Event> */
    private array $struck = [];

    /** @var list<Check> */
    private array $checks = [];

    private function __construct(private readonly Piece $piece, private readonly Hand $hand) {}

    public static function for(Piece $piece, Hand $hand): HandFingers
    {
        return (new self($piece, $hand))->search();
    }

    private function search(): HandFingers
    {
        $choices = [];
        foreach ($this->piece->hand($this->hand) as $event) {
            if ($event->isStruck()) {
                $this->struck[] = $event;
                $choices[] = $this->grips($event);
            }
        }
        $chosen = $this->cheapest($choices);
        $this->reportFights($chosen);
        $thumbs = [];
        $fingers = [];
        foreach ($this->struck as $i => $event) {
            $thumbs[] = [$event, $chosen[$i]->thumb];
            $fingers[$event->id] = $this->printedFirst($event, $chosen[$i]);
        }

        return new HandFingers($fingers + $this->held($fingers), $thumbs, $this->checks);
    }

    /** @return non-empty-list<Grip> */
    private function grips(Event $event): array
    {
        $grips = Grip::of($event, $this->hand);
        if ($grips !== []) {
            return $grips;
        }
        $printed = implode(' ', array_filter(array_map(static fn (Note $note): ?int => $note->finger, $event->notes), is_int(...)));
        $this->checks[] = new Check(
            'finger_impossible',
            $this->piece->place($event),
            $this->hand,
            ucfirst($this->hand->word())." at {$this->piece->place($event)}: no hand position allows the printed finger {$printed} here. Look at the page again.",
        );

        return Grip::unprinted($event, $this->hand) ?: throw new \LogicException('a struck event always has a grip');
    }

    /**
     * @param  list<non-empty-list<Grip>>  $choices
     * @return list<Grip>
     */
    private function cheapest(array $choices): array
    {
        $costs = [];
        $from = [];
        foreach ($choices as $i => $grips) {
            $before = $costs;
            $costs = [];
            $time = $i > 0 && $this->hasTime($this->struck[$i - 1], $this->struck[$i]);
            foreach ($grips as $g => $grip) {
                if ($i === 0) {
                    $costs[$g] = $grip->cost + (in_array($grip->thumb, self::NAMED[$this->hand->value], true) ? 0 : 1);

                    continue;
                }
                $best = PHP_INT_MAX;
                foreach ($choices[$i - 1] as $p => $previous) {
                    $keys = abs($grip->thumb - $previous->thumb);
                    $shift = $keys === 0 ? 0 : ($time ? 1 : 2) * (self::SHIFT + $keys);
                    if ($before[$p] + $shift < $best) {
                        $best = $before[$p] + $shift;
                        $from[$i][$g] = $p;
                    }
                }
                $costs[$g] = $best + $grip->cost;
            }
        }
        $chosen = [];
        $at = $costs === [] ? 0 : (int) array_search(min($costs), $costs, true);
        for ($i = count($choices) - 1; $i >= 0; $i--) {
            $chosen[] = $choices[$i][$at];
            $at = $from[$i][$at] ?? 0;
        }

        return array_reverse($chosen);
    }

    /** A rest before the move, or a note of two beats and more, gives time for it. */
    private function hasTime(Event $before, Event $after): bool
    {
        $measure = $this->piece->measures[$before->measure];
        if ($before->duration->inBeatsOf($measure->meter)->compare(Fraction::of(2)) >= 0) {
            return true;
        }
        $gapInBar = $before->measure === $after->measure
            ? $after->onset->compare($before->end) > 0
            : ! $after->onset->isZero() || $before->end->compare($measure->length) < 0;

        return $gapInBar || $after->measure - $before->measure > 1;
    }

    /**
     * A printed finger fights its surroundings when the hand leaves for a few notes and comes back,
     * though every one of them lay under it.
     *
     * @param  list<Grip>  $chosen
     */
    private function reportFights(array $chosen): void
    {
        $count = count($chosen);
        for ($first = 1; $first < $count; $first = $last + 1) {
            $last = $first;
            $around = $chosen[$first - 1]->thumb;
            while ($chosen[$first]->thumb !== $around && $last + 1 < $count && $chosen[$last + 1]->thumb === $chosen[$first]->thumb) {
                $last++;
            }
            if ($chosen[$first]->thumb !== $around && $last + 1 < $count && $last - $first < self::FIGHT && $chosen[$last + 1]->thumb === $around) {
                $this->reportFight(array_slice($this->struck, $first, $last - $first + 1), $around);
            }
        }
    }

    /** @param list<Event> $events */
    private function reportFight(array $events, int $around): void
    {
        $under = fn (Pitch $pitch): int => ($pitch->diatonic() - $around) * $this->hand->direction() + 1;
        foreach ($events as $event) {
            foreach ($event->notes as $note) {
                if ($under($note->pitch) < 1 || $under($note->pitch) > 5) {
                    return;
                }
            }
        }
        foreach ($events as $event) {
            $place = $this->piece->place($event);
            foreach ($event->notes as $note) {
                if ($note->finger !== null && $note->finger !== $under($note->pitch)) {
                    $this->checks[] = new Check(
                        'finger_fights',
                        $place,
                        $this->hand,
                        ucfirst($this->hand->word())." at {$place}: the printed finger {$note->finger} on {$note->pitch->name()} takes the hand away and back again; where the hand lies it would be finger {$under($note->pitch)}.",
                    );
                }
            }
        }
    }

    /** @return list<int|null> what is printed stands, even where no hand could do it */
    private function printedFirst(Event $event, Grip $grip): array
    {
        return array_map(
            static fn (Note $note, ?int $finger): ?int => $note->finger ?? $finger,
            $event->notes,
            $grip->fingers,
        );
    }

    /**
     * A tied note keeps the finger it was struck with.
     *
     * @param  array<string, list<int|null>>  $fingers
     * @return array<string, list<int|null>>
     */
    private function held(array $fingers): array
    {
        $held = [];
        $byKey = [];
        foreach ($this->piece->hand($this->hand) as $event) {
            if ($event->isHeld()) {
                $held[$event->id] = array_map(static fn (Note $note): ?int => $note->finger ?? $byKey[$note->pitch->midi()] ?? null, $event->notes);
            }
            foreach ($event->notes as $i => $note) {
                $byKey[$note->pitch->midi()] = $fingers[$event->id][$i] ?? $byKey[$note->pitch->midi()] ?? null;
            }
        }

        return $held;
    }
}

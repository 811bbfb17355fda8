<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;

/**
 * The fingers of a whole hand part at least cost (trade 4.2): stay; else shift, dearer the farther and cheaper
 * with time; else stretch. In a run that is longer than a hand the thumb goes under, or a finger over. Linear in
 * the length of the part: each event has at most seven grips.
 */
final class FingerSearch
{
    private const SHIFT = 4;

    /** A crossing after finger 3, or 4; the thumb is no friend of black keys. */
    private const CROSSING = [3 => 3, 4 => 4];

    private const THUMB_ON_BLACK = 2;

    /** What makes the thumb come round to the same key in each octave. */
    private const THUMB_ON_DO = -1;

    private const BLACK = [1 => true, 3 => true, 6 => true, 8 => true, 10 => true];

    /** Thumb keys of the named positions, by hand: C4 and G4; C4, G3, D4 and D3. */
    private const NAMED = ['R' => [28, 32], 'L' => [28, 25, 29, 22]];

    /** @var list<Event> */
    private array $struck = [];

    /** @var list<list<int|null>> fingers that are set for each struck event, by the page or the teacher */
    private array $set = [];

    /** @var array<int, true> struck events whose set fingers no hand can do */
    private array $impossible = [];

    /** @var list<int> */
    private array $runs = [];

    private function __construct(private readonly Piece $piece, private readonly Hand $hand, private readonly OwnFingers $own) {}

    public static function for(Piece $piece, Hand $hand, ?OwnFingers $own = null): HandFingers
    {
        return (new self($piece, $hand, $own ?? OwnFingers::none()))->search();
    }

    private function search(): HandFingers
    {
        $choices = [];
        $sources = [];
        foreach ($this->piece->hand($this->hand) as $event) {
            if ($event->isStruck()) {
                $choices[] = $this->grips($event);
            }
            if (! $event->isRest()) {
                $sources[$event->id] = $this->source($event);
            }
        }
        $this->runs = ScaleRuns::into($this->struck);
        $chosen = $this->cheapest($choices);
        $placed = [];
        $fingers = [];
        foreach ($this->struck as $i => $event) {
            $move = match (true) {
                $i === 0 => HandMove::Start,
                $chosen[$i]->thumb === $chosen[$i - 1]->thumb => HandMove::Stay,
                default => $this->crossing($i, $chosen[$i - 1], $chosen[$i])[0] ?? HandMove::Shift,
            };
            $placed[] = new Placed($event, $chosen[$i]->thumb, $move);
            $fingers[$event->id] = $this->setFirst($i, $chosen[$i]);
        }

        return new HandFingers(
            $fingers + $this->held($fingers),
            $sources,
            $placed,
            [...$this->impossible($chosen), ...FingerFights::of($this->piece, $this->hand, $placed)],
        );
    }

    private function source(Event $event): FingerSource
    {
        if (array_filter($this->own->at($this->piece, $event), is_int(...)) !== []) {
            return FingerSource::Teacher;
        }
        $printed = array_filter($event->notes, static fn (Note $note): bool => $note->finger !== null);

        return $printed !== [] ? FingerSource::Page : FingerSource::WorkedOut;
    }

    /** @return non-empty-list<Grip> */
    private function grips(Event $event): array
    {
        $own = $this->own->at($this->piece, $event);
        $set = array_map(static fn (Note $note, ?int $finger): ?int => $finger ?? $note->finger, $event->notes, $own);
        $this->struck[] = $event;
        $this->set[] = $set;
        $grips = Grip::of($event, $this->hand, $set);
        if ($grips === []) {
            $this->impossible[count($this->struck) - 1] = true;
            $grips = Grip::any($event, $this->hand);
        }

        return $grips ?: throw new \LogicException('a struck event always has a grip');
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
            $each = $time ? 1 : 2;
            $run = $this->runs[$i] !== 0;
            foreach ($grips as $g => $grip) {
                if ($i === 0) {
                    $costs[$g] = $grip->cost + (in_array($grip->thumb, self::NAMED[$this->hand->value], true) ? 0 : 1);

                    continue;
                }
                $best = PHP_INT_MAX;
                foreach ($choices[$i - 1] as $p => $previous) {
                    $keys = abs($grip->thumb - $previous->thumb);
                    $move = $keys === 0 ? 0 : $each * (self::SHIFT + $keys);
                    if ($run && $keys !== 0) {
                        $move = $this->crossing($i, $previous, $grip)[1] ?? $move;
                    }
                    if ($before[$p] + $move < $best) {
                        $best = $before[$p] + $move;
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

    /** @return array{HandMove, int}|null the crossing by which the hand comes from one grip to the other, and its cost */
    private function crossing(int $i, Grip $before, Grip $after): ?array
    {
        $outwards = $this->runs[$i] * $this->hand->direction();
        if ($outwards === 0) {
            return null;
        }
        [$move, $finger, $other, $thumb] = $outwards > 0
            ? [HandMove::ThumbUnder, $before->fingers[0], $after->fingers[0], $this->struck[$i]]
            : [HandMove::FingerOver, $after->fingers[0], $before->fingers[0], $this->struck[$i - 1]];
        $cost = self::CROSSING[$finger ?? 0] ?? null;
        if ($cost === null || $other !== 1) {
            return null;
        }

        $key = $thumb->lowest();
        $isDo = $finger === 4 && $key->step === $this->piece->measures[$thumb->measure]->key->doStep();

        return [$move, $cost + (isset(self::BLACK[$key->midi() % 12]) ? self::THUMB_ON_BLACK : 0) + ($isDo ? self::THUMB_ON_DO : 0)];
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
     * @param  list<Grip>  $chosen
     * @return list<Check>
     */
    private function impossible(array $chosen): array
    {
        $checks = [];
        foreach (array_keys($this->impossible) as $i) {
            $event = $this->struck[$i] ?? throw new \LogicException('an event that was not struck');
            $place = $this->piece->place($event);
            $set = implode(' ', array_filter($this->set[$i], is_int(...)));
            $whose = $this->source($event) === FingerSource::Teacher ? 'your' : 'the printed';
            $better = implode(' ', array_filter($chosen[$i]->fingers, is_int(...)));
            $checks[] = new Check(
                'finger_impossible',
                $place,
                $this->hand,
                ucfirst($this->hand->word())." at {$place}: no hand position allows {$whose} finger {$set} here".($better === '' ? '' : "; {$better} would lie there").'. Look at the page again.',
                [$event->id],
            );
        }

        return $checks;
    }

    /** @return list<int|null> what is set stands, even where no hand could do it */
    private function setFirst(int $i, Grip $grip): array
    {
        return array_map(static fn (?int $set, ?int $finger): ?int => $set ?? $finger, $this->set[$i], $grip->fingers);
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
                $own = $this->own->at($this->piece, $event);
                $held[$event->id] = array_map(static fn (Note $note, ?int $finger): ?int => $finger ?? $note->finger ?? $byKey[$note->pitch->midi()] ?? null, $event->notes, $own);
            }
            foreach ($event->notes as $i => $note) {
                $byKey[$note->pitch->midi()] = $fingers[$event->id][$i] ?? $byKey[$note->pitch->midi()] ?? null;
            }
        }

        return $held;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

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
use Nasturtium\Core\Score\PieceBuilder;
use Nasturtium\Core\Score\Pitch;
use Nasturtium\Core\Score\Tuplet;
use Nasturtium\Core\Score\TupletGroups;

/** Writes played keys as notes: divided at bar lines and beats, with ties, spelled in the key, rests between them. */
final class PlayedPage
{
    private const MIDDLE_C = 60;

    /** @var array<int, array{Meter, array{R: list<DraftEvent>, L: list<DraftEvent>}}> by bar */
    private array $bars = [];

    /** @var array{R: list<int>, L: list<int>} */
    private array $keys = ['R' => [], 'L' => []];

    public function __construct(private readonly BarLines $lines, private readonly Key $key) {}

    /**
     * @param  Fraction  $onset  in whole notes from the start
     * @param  list<int>  $keys  as MIDI numbers, lowest first
     */
    public function add(Hand $hand, Fraction $onset, Fraction $length, array $keys): void
    {
        array_push($this->keys[$hand->value], ...$keys);
        $held = false;
        while (! $length->isZero()) {
            [$bar, $within, $meter] = $this->lines->place($onset);
            $part = self::part($within, $length, $meter);
            $left = $length->minus($part);
            $notes = array_map(fn (int $key): Note => new Note(Pitch::ofMidi($key, $this->key), tieStart: ! $left->isZero(), tieStop: $held), $keys);
            $this->put($bar, $meter, $hand, $within, $part, $notes);
            $onset = $onset->plus($part);
            $length = $left;
            $held = true;
        }
    }

    /** @return int bars, from the first in which anything is played to the last */
    public function count(): int
    {
        $played = array_keys($this->bars);

        return $played === [] ? 0 : max($played) - min($played) + 1;
    }

    /** @throws InvalidScore when nothing was played */
    public function built(): PieceBuilder
    {
        $played = array_keys($this->bars);
        if ($played === []) {
            throw InvalidScore::nothingPlayed();
        }
        $builder = new PieceBuilder();
        $this->lines->skipped = min($played);
        $last = max($played);
        if ($this->lines->skipped > 0 || $this->lines->cut->isZero()) {
            $this->pickup();
        }
        for ($bar = $this->lines->skipped; $bar <= $last; $bar++) {
            $begins = $bar === $this->lines->skipped ? $this->lines->cut : Fraction::zero();
            [$meter, $hands] = $this->bars[$bar] ?? [$this->bars[$bar - 1][0] ?? new Meter(4, 4), ['R' => [], 'L' => []]];
            $this->bars[$bar] ??= [$meter, $hands];
            $draft = $builder->measure($meter, $this->key, implicit: ! $begins->isZero());
            foreach (Hand::cases() as $hand) {
                if ($bar === $this->lines->skipped) {
                    $draft->clefs[] = [Fraction::zero(), $hand, $this->clef($hand)];
                }
                if ($this->keys[$hand->value] === []) {
                    continue;
                }
                array_push($draft->events, ...$this->grouped($this->filled($hand, $hands[$hand->value], $begins, $meter)));
            }
        }

        return $builder;
    }

    /** Half a bar of silence and more before the first note: the piece begins with a pickup. */
    private function pickup(): void
    {
        $this->lines->cut = Fraction::zero();
        [$meter, $hands] = $this->bars[$this->lines->skipped];
        $first = $meter->measure();
        foreach ([...$hands['R'], ...$hands['L']] as $event) {
            $first = $event->onset->compare($first) < 0 ? $event->onset : $first;
        }
        if ($first->times(Fraction::of(2))->compare($meter->measure()) >= 0) {
            // From a beat on, so that it can be counted.
            $this->lines->cut = Fraction::of($meter->beats($first)->floor(), $meter->unit);
        }
    }

    /**
     * @param  list<DraftEvent>  $events
     * @return list<DraftEvent> with rests where nothing is played, to the end of the bar
     */
    private function filled(Hand $hand, array $events, Fraction $begins, Meter $meter): array
    {
        $filled = [];
        $at = $begins;
        foreach ([...$events, null] as $event) {
            $to = $event === null ? $meter->measure() : $event->onset;
            while ($at->compare($to) < 0) {
                $part = self::part($at, $to->minus($at), $meter);
                $filled[] = $this->event($hand, $at->minus($begins), $part, []);
                $at = $at->plus($part);
            }
            if ($event !== null) {
                $filled[] = $this->event($hand, $event->onset->minus($begins), $event->duration->whole, $event->notes);
                $at = $event->end();
            }
        }

        return $filled;
    }

    /**
     * @param  list<DraftEvent>  $events
     * @return list<DraftEvent> with the start and the end of each tuplet
     */
    private function grouped(array $events): array
    {
        $tuplets = TupletGroups::of(array_map(static fn (DraftEvent $event): array => [$event->onset, $event->duration->whole, $event->ink->tuplet], $events));

        return array_map(
            static fn (DraftEvent $event, ?Tuplet $tuplet): DraftEvent => new DraftEvent($event->hand, $event->voice, $event->onset, $event->duration, $event->notes, new Ink(tuplet: $tuplet), false),
            $events,
            $tuplets,
        );
    }

    /** @param list<Note> $notes */
    private function put(int $bar, Meter $meter, Hand $hand, Fraction $onset, Fraction $length, array $notes): void
    {
        $this->bars[$bar] ??= [$meter, ['R' => [], 'L' => []]];
        $this->bars[$bar][1][$hand->value][] = $this->event($hand, $onset, $length, $notes);
    }

    /** @param list<Note> $notes */
    private function event(Hand $hand, Fraction $onset, Fraction $length, array $notes): DraftEvent
    {
        $duration = Duration::ofWhole($length);

        return new DraftEvent($hand, '1', $onset, $duration, $notes, new Ink(tuplet: Tuplet::fitting($duration)), false);
    }

    /** As much of a length as is written as one note: within the bar, and off the beat within the beat. */
    private static function part(Fraction $onset, Fraction $length, Meter $meter): Fraction
    {
        $room = $meter->measure()->minus($onset);
        $length = $length->compare($room) > 0 ? $room : $length;
        $beat = Fraction::of(1, $meter->isCompound() ? 8 : $meter->unit);
        $off = $onset->dividedBy($beat)->part();
        if (! $off->isZero()) {
            $toBeat = $beat->times(Fraction::of(1)->minus($off));
            $length = $length->compare($toBeat) > 0 && Duration::ofWhole($length)->asNote() === null ? $toBeat : $length;
        }
        if (Duration::ofWhole($length)->asNote() !== null || ($length->compare($beat) <= 0 && Tuplet::fitting(Duration::ofWhole($length)) !== null)) {
            return $length;
        }
        $least = null;
        for ($denominator = 1; $denominator <= 64; $denominator *= 2) {
            $note = Fraction::of(1, $denominator);
            if ($note->compare($length) <= 0) {
                $least ??= $note;
            }
        }
        // What is left of a triplet comes to its beat first.
        $whole = $beat->times(Fraction::of($length->dividedBy($beat)->floor()));

        return match (true) {
            $length->denominator % 3 === 0 && ! $whole->isZero() && Duration::ofWhole($whole)->asNote() !== null => $whole,
            default => $least ?? $length,
        };
    }

    private function clef(Hand $hand): Clef
    {
        $keys = $this->keys[$hand->value];
        if ($keys === []) {
            return $hand === Hand::Right ? Clef::Treble : Clef::Bass;
        }

        return array_sum($keys) / count($keys) >= self::MIDDLE_C - ($hand === Hand::Right ? 4 : -2) ? Clef::Treble : Clef::Bass;
    }
}

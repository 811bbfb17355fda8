<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\Grid;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\Metronome;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Place;

/** Makes a start for a page from what was played: laid on a grid, split into hands, and everything uncertain marked. */
final class MidiReader
{
    /** A note held for this part of the way to the next is taken to be held all the way. */
    private const LEGATO = [3, 5];

    /** @var array<string, string> what is uncertain, by moment and hand, as `3/4 R` */
    private array $uncertain = [];

    private readonly BarLines $bars;

    private readonly Grids $grids;

    /** What the reader took for a pickup, that nobody has said; zero where it took none. */
    private Fraction $guessed;

    /** @throws BadInput */
    private function __construct(private readonly MidiFile $file, ?Grid $grid, ?Fraction $pickup)
    {
        $this->bars = new BarLines($file->meters, $file->ticks);
        $this->guessed = Fraction::zero();
        if ($pickup !== null) {
            $this->bars->begin($pickup);
        } elseif (! $this->bars->isSaid && ! $this->bars->changes()) {
            $this->guessed = FirstDownbeat::of($file, $this->bars->first());
            $this->bars->begin($this->guessed);
        }
        $this->hold();
        $this->grids = new Grids($file, $this->bars, $grid);
    }

    /**
     * @param  Grid|null  $grid  null for what fits, bar by bar
     * @param  Fraction|null  $pickup  in whole notes, zero for none; null for what the file says, or what fits
     *
     * @throws BadInput
     */
    public static function read(string $bytes, ?Grid $grid = null, ?Fraction $pickup = null): ReadScore
    {
        $file = MidiFile::read($bytes);
        try {
            return (new self($file, $grid, $pickup))->score();
        } catch (InvalidScore $reason) {
            throw BadMidi::cannotBeLaid($reason);
        }
    }

    /**
     * Before anything is laid out: notes may stand as far apart as a file likes.
     *
     * @throws BadInput
     */
    private function hold(): void
    {
        $first = $this->bars->place($this->moment($this->file->notes[0]->from))[0];
        $last = $this->bars->place($this->moment(max([0, ...array_map(static fn (MidiNote $note): int => $note->to, $this->file->notes)])))[0];
        if ($last - $first + 1 > Limits::MEASURES) {
            throw BadMidi::tooManyBars();
        }
    }

    /** @return Fraction whole notes from the start of the first bar */
    private function moment(int $tick): Fraction
    {
        return $this->bars->inBars(Fraction::of($tick, 4 * $this->file->ticks));
    }

    private function score(): ReadScore
    {
        $hands = ['R' => [], 'L' => []];
        foreach ($this->split() as [$onset, $split]) {
            foreach (Hand::cases() as $hand) {
                if ($split[$hand->value] === []) {
                    continue;
                }
                $hands[$hand->value][] = [$onset, $split[$hand->value]];
                if (! $split['certain']) {
                    $this->doubt($onset, $hand, 'it may belong to the other hand');
                }
            }
        }
        $page = new PlayedPage($this->bars, $this->file->key ?? new Key(fixed: false));
        foreach (Hand::cases() as $hand) {
            foreach ($this->lengths($hand, $hands[$hand->value]) as [$onset, $length, $keys]) {
                $page->add($hand, $onset, $length, $keys);
            }
        }
        $builder = $page->built();
        $builder->title = $this->file->title === '' ? 'Untitled' : mb_substr((string) preg_replace('/\s+/u', ' ', $this->file->title), 0, 120);
        $builder->metronome = $this->file->tempo === null ? null : new Metronome($this->file->tempo, null, Duration::ofNote('quarter'));
        $piece = $builder->piece();

        return new ReadScore($piece, [...$this->notRead($piece), ...$this->pickup($piece), ...$this->doubts($piece)]);
    }

    /** @return list<array{Fraction, array{R: list<MidiNote>, L: list<MidiNote>, certain: bool}}> by moments of the grid */
    private function split(): array
    {
        $moments = [];
        foreach ($this->file->notes as $note) {
            $onset = $this->grids->laid($this->moment($note->from));
            $moments[(string) $onset] ??= [$onset, []];
            $moments[(string) $onset][1][] = $note;
        }
        usort($moments, static fn (array $a, array $b): int => $a[0]->compare($b[0]));
        $split = HandSplit::of(array_column($moments, 1));

        return array_map(static fn (array $moment, array $hands): array => [$moment[0], $hands], $moments, $split);
    }

    /**
     * The notes of one hand as one voice of notes and chords.
     *
     * @param  list<array{Fraction, non-empty-list<MidiNote>}>  $moments
     * @return list<array{Fraction, Fraction, list<int>}> onset, length and keys
     */
    private function lengths(Hand $hand, array $moments): array
    {
        $laid = [];
        foreach ($moments as $i => [$onset, $notes]) {
            $next = $moments[$i + 1][0] ?? null;
            $from = min(array_map(static fn (MidiNote $note): int => $note->from, $notes));
            $to = max(array_map(static fn (MidiNote $note): int => $note->to, $notes));
            if ($this->grids->missed($this->moment($from))) {
                $this->doubt($onset, $hand, 'it was played between two steps of the grid');
            }
            $step = $this->grids->at($onset)->step();
            $length = $this->grids->laid($this->moment($to))->minus($onset)->max($step);
            $room = $next?->minus($onset);
            if ($room !== null && $length->compare($room) > 0) {
                if ($length->minus($room)->compare($step) > 0) {
                    $this->doubt($onset, $hand, 'it was held on under the next note, and may be a second voice');
                }
                $length = $room;
            } elseif ($room !== null && Fraction::of($to - $from, 4 * $this->file->ticks)->compare($room->times(Fraction::of(...self::LEGATO))) >= 0) {
                $length = $room;
            }
            $keys = array_values(array_unique(array_map(static fn (MidiNote $note): int => $note->key, $notes)));
            sort($keys);
            $laid[] = [$onset, $length, $keys];
        }

        return $laid;
    }

    private function doubt(Fraction $onset, Hand $hand, string $why): void
    {
        $at = "{$onset} {$hand->value}";
        $this->uncertain[$at] = isset($this->uncertain[$at]) ? "{$this->uncertain[$at]}, and {$why}" : $why;
    }

    /** @return list<Check> */
    private function notRead(Piece $piece): array
    {
        return array_map(
            static fn (string $what): Check => new Check('not_read', Place::start($piece->measures[0]->number), null, ucfirst("{$what} is not read.")),
            array_keys($this->file->notRead),
        );
    }

    /** @return list<Check> */
    private function pickup(Piece $piece): array
    {
        if ($this->guessed->isZero()) {
            return [];
        }
        $beats = $this->bars->first()->beats($this->guessed);
        $words = $beats->equals(Fraction::of(1)) ? 'one beat' : ($beats->compare(Fraction::of(1)) < 0 ? 'half a beat' : "{$beats} beats");

        return [new Check('pickup_guessed', Place::start($piece->measures[0]->number), null, "It seems to begin with a pickup of {$words}. If it does not, choose where the first bar begins.")];
    }

    /** @return list<Check> in the order of the page */
    private function doubts(Piece $piece): array
    {
        $bars = $this->bars;
        $found = [];
        foreach ($this->uncertain as $at => $why) {
            [$onset, $name] = explode(' ', $at);
            [$numerator, $denominator] = [...explode('/', $onset), '1'];
            [$bar, $within] = $bars->place(Fraction::of((int) $numerator, (int) $denominator));
            $measure = $piece->measures[$bar - $bars->skipped] ?? $piece->last();
            $hand = Hand::from($name);
            $within = $within->minus($bar === $bars->skipped ? $bars->cut : Fraction::zero());
            foreach ($measure->of($hand) as $event) {
                if ($event->onset->equals($within)) {
                    $place = $measure->place($event->onset);
                    $beat = ($place->beats->part()->isZero() ? 'on' : 'after').' beat '.($place->beats->floor() + 1);
                    $found[] = new Check('uncertain', $place, $hand, "Bar {$measure->number}, {$hand->word()}, {$beat}: look at this note again; {$why}.", [$event->id]);
                }
            }
        }
        usort($found, static fn (Check $a, Check $b): int => $a->place->measure <=> $b->place->measure ?: $a->place->beats->compare($b->place->beats));

        return $found;
    }
}

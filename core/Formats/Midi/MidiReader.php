<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Metronome;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Place;

/** Makes a start for a page from what was played: laid on a grid, split into hands, and everything uncertain marked. */
final class MidiReader
{
    private const MAX_MEASURES = 1_000;

    /** A note held for this part of the way to the next is taken to be held all the way. */
    private const LEGATO = [3, 5];

    /** @var array<string, string> what is uncertain, by moment and hand, as `3/4 R` */
    private array $uncertain = [];

    private function __construct(private readonly MidiFile $file, private readonly Grid $grid) {}

    /**
     * @param  Grid|null  $grid  null for the one that fits
     *
     * @throws BadInput
     */
    public static function read(string $bytes, ?Grid $grid = null): ReadScore
    {
        $file = MidiFile::read($bytes);
        try {
            return (new self($file, $grid ?? Grid::fitting($file)))->score();
        } catch (InvalidScore $reason) {
            throw new BadInput("The MIDI file cannot be laid on a page: {$reason->getMessage()}.", previous: $reason);
        }
    }

    private function score(): ReadScore
    {
        $bars = new BarLines($this->file->meters, $this->file->ticks);
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
        $page = new PlayedPage($bars, $this->file->key ?? new Key(fixed: false));
        foreach (Hand::cases() as $hand) {
            foreach ($this->lengths($hand, $hands[$hand->value]) as [$onset, $length, $keys]) {
                $page->add($hand, $onset, $length, $keys);
            }
        }
        if ($page->count() > self::MAX_MEASURES) {
            throw new BadInput('The MIDI file has more than '.self::MAX_MEASURES.' bars. Export the page you need alone.');
        }
        $builder = $page->built();
        $builder->title = $this->file->title === '' ? 'Untitled' : mb_substr((string) preg_replace('/\s+/u', ' ', $this->file->title), 0, 120);
        $builder->metronome = $this->file->tempo === null ? null : new Metronome($this->file->tempo, null, Duration::ofNote('quarter'));
        $piece = $builder->piece();

        return new ReadScore($piece, [...$this->notRead($piece), ...$this->doubts($piece, $bars)]);
    }

    /** @return list<array{Fraction, array{R: list<MidiNote>, L: list<MidiNote>, certain: bool}}> by moments of the grid */
    private function split(): array
    {
        $moments = [];
        foreach ($this->file->notes as $note) {
            $step = $this->nearest($note->from);
            $moments[$step][] = $note;
        }
        ksort($moments);
        $split = HandSplit::of(array_values($moments));

        return array_map(
            fn (int $step, array $hands): array => [$this->grid->step()->times(Fraction::of($step)), $hands],
            array_keys($moments),
            $split,
        );
    }

    private function nearest(int $tick): int
    {
        return $this->grid->nearest(Fraction::of($tick, 4 * $this->file->ticks));
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
            if ($this->grid->misses(Fraction::of($from, 4 * $this->file->ticks))) {
                $this->doubt($onset, $hand, 'it was played between two steps of the grid');
            }
            $length = $this->grid->step()->times(Fraction::of(max(1, $this->nearest($to) - $this->nearest($from))));
            $room = $next?->minus($onset);
            if ($room !== null && $length->compare($room) > 0) {
                if ($length->minus($room)->compare($this->grid->step()) > 0) {
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

    /** @return list<Check> in the order of the page */
    private function doubts(Piece $piece, BarLines $bars): array
    {
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

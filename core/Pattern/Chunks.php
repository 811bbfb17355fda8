<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Place;

/** The pieces of a page to practise; equal ones are listed once with the places they serve (trade 6.3). */
final class Chunks
{
    /** @var array<int, string> what each bar sounds like, by index */
    private array $bars = [];

    /** @var array<string, list<Chunk>> by kind, once they were asked for */
    private array $found = [];

    /** @var list<HandsTogether>|null */
    private ?array $hands = null;

    /** @param Hand|null $hand whose notes decide what is equal, and which must play; null for both */
    public function __construct(private readonly Piece $piece, private readonly ?Hand $hand = null)
    {
        foreach ($piece->measures as $measure) {
            $this->bars[] = $hand === null ? Bars::both($measure) : Bars::same($measure, $hand);
        }
    }

    /** @return list<Chunk> every kind */
    public function all(): array
    {
        $chunks = [];
        foreach (ChunkKind::cases() as $kind) {
            array_push($chunks, ...$this->of($kind));
        }

        return $chunks;
    }

    /** @return list<Chunk> */
    public function of(ChunkKind $kind): array
    {
        return $this->found[$kind->value] ??= $this->find($kind);
    }

    /** @return list<HandsTogether> what the hands do in each measure */
    public function hands(): array
    {
        return $this->hands ??= array_map(HandsTogether::in(...), $this->piece->measures);
    }

    /** @return list<Chunk> */
    private function find(ChunkKind $kind): array
    {
        return match ($kind) {
            ChunkKind::BarOver => $this->barOvers(),
            ChunkKind::HalfLine => $this->ranges($kind, $this->halfLines()),
            ChunkKind::Line => $this->ranges($kind, array_map(static fn ($line): array => [$line->from, $line->to], $this->piece->lines())),
            ChunkKind::LineTurn => $this->lineTurns(),
            ChunkKind::Section => $this->ranges($kind, $this->sections()),
            ChunkKind::HandOver => $this->handOvers(),
            ChunkKind::Whole => [$this->whole()],
            ChunkKind::Own => [],
        };
    }

    /**
     * What the teacher drags over, exact to the beat.
     *
     * @param  int  $first  index of the first measure
     * @param  int  $from  beat it begins with, counted from the start of a full measure: 0 is beat one
     * @param  int  $last  index of the last measure
     * @param  int  $to  beat it ends with, included
     *
     * @throws InvalidRange when a beat is not in its measure, or the end lies before the start
     */
    public function between(int $first, int $from, int $last, int $to): Chunk
    {
        [$start, $after] = [$this->moment($first, $from), $this->moment($last, $to, 1)];
        if ($last < $first || ($last === $first && $to < $from)) {
            throw InvalidRange::backwards();
        }
        $whole = PlayOrder::tempoBeats($this->piece, ...range($first, $last));
        $meter = $this->piece->meter();
        $beats = $whole->minus($meter->beats($start))->minus($meter->beats($this->piece->measures[$last]->length->minus($after)));
        $place = new Place($this->piece->measures[$first]->number, Fraction::of($from));

        return new Chunk(ChunkKind::Own, $first, $last, $place, new Place($this->piece->measures[$last]->number, Fraction::of($to)), $beats, [$place]);
    }

    /** Whole bars, from index to index. */
    public function over(ChunkKind $kind, int $from, int $to): Chunk
    {
        return $this->range($kind, $from, $to);
    }

    /** A bar through the next bar's first sounding beat; the last bar has none to go to. */
    public function barOver(int $index): Chunk
    {
        return isset($this->piece->measures[$index + 1])
            ? $this->throughNextBeat(ChunkKind::BarOver, $index, $index)[1]
            : $this->range(ChunkKind::BarOver, $index, $index);
    }

    /**
     * @param  int  $more  beats later
     * @return Fraction whole notes from the start of the measure, within it
     *
     * @throws InvalidRange
     */
    private function moment(int $index, int $beat, int $more = 0): Fraction
    {
        $measure = $this->piece->measures[$index] ?? throw InvalidRange::noMeasure($index);
        $at = Fraction::of($beat, $measure->meter->unit)->minus($measure->offset);
        if ($at->compare($measure->length) >= 0 || $at->plus(Fraction::of(1, $measure->meter->unit))->compare(Fraction::zero()) <= 0) {
            throw InvalidRange::noBeat($measure->number, $beat + 1);
        }
        $at = $at->plus(Fraction::of($more, $measure->meter->unit));
        $at = $at->numerator < 0 ? Fraction::zero() : $at;

        return $at->compare($measure->length) > 0 ? $measure->length : $at;
    }

    /** @return list<Chunk> a bar through the next bar's first sounding beat */
    private function barOvers(): array
    {
        $found = [];
        for ($i = 0; $i < count($this->piece->measures) - 1; $i++) {
            $this->collect($found, $this->throughNextBeat(ChunkKind::BarOver, $i, $i));
        }

        return $this->listed($found);
    }

    /** @return list<Chunk> the last two bars of a line through the first bar of the next */
    private function lineTurns(): array
    {
        $found = [];
        $lines = $this->piece->lines();
        for ($i = 0; $i < count($lines) - 1; $i++) {
            $from = max($lines[$i]->from, $lines[$i]->to - 1);
            $this->collect($found, [$this->key($from, $lines[$i + 1]->from), $this->range(ChunkKind::LineTurn, $from, $lines[$i + 1]->from)]);
        }

        return $this->listed($found);
    }

    /** @return list<array{int, int}> */
    private function halfLines(): array
    {
        $halves = [];
        foreach ($this->piece->lines() as $line) {
            $bars = $line->to - $line->from + 1;
            if ($bars >= 4) {
                $middle = $line->from + intdiv($bars, 2);
                array_push($halves, [$line->from, $middle - 1], [$middle, $line->to]);
            }
        }

        return $halves;
    }

    /** @return list<array{int, int}> between repeat signs; none when nothing is repeated */
    private function sections(): array
    {
        $starts = [0 => true];
        foreach ($this->piece->measures as $i => $measure) {
            if ($measure->repeatStart) {
                $starts[$i] = true;
            }
            if ($measure->repeatEnd && $i + 1 < count($this->piece->measures) && ($this->piece->measures[$i + 1]->endings === [] || $measure->endings === [])) {
                $starts[$i + 1] = true;
            }
        }
        $repeated = array_filter($this->piece->measures, static fn (Measure $measure): bool => $measure->repeatEnd) !== [];
        ksort($starts);
        $starts = [...array_keys($starts), count($this->piece->measures)];
        $sections = [];
        for ($i = 0; $repeated && $i < count($starts) - 1; $i++) {
            $sections[] = [$starts[$i], $starts[$i + 1] - 1];
        }

        return $sections;
    }

    /** @return list<Chunk> where the tune passes from one hand to the other: the bar, or the two bars it happens in */
    private function handOvers(): array
    {
        $found = [];
        // The bar in which something sounded last, and the hand it ended with.
        $at = $before = null;
        foreach ($this->piece->measures as $i => $measure) {
            $now = $this->hands()[$i]->play;
            if ($now === HandsPlay::Rest) {
                continue;
            }
            [$first, $last] = $now === HandsPlay::Together ? [null, null] : self::firstAndLast($measure);
            if ($at !== null && $before !== null && $first !== null && $before !== $first) {
                $this->collect($found, [$this->key($at, $i), $this->range(ChunkKind::HandOver, $at, $i)]);
            }
            if ($now === HandsPlay::Turns) {
                $this->collect($found, [$this->key($i, $i), $this->range(ChunkKind::HandOver, $i, $i)]);
            }
            [$at, $before] = [$i, $last];
        }

        return $this->listed($found);
    }

    private function whole(): Chunk
    {
        $last = count($this->piece->measures) - 1;
        $range = $this->range(ChunkKind::Whole, 0, $last);

        return new Chunk(
            ChunkKind::Whole,
            0,
            $last,
            $range->from,
            $range->to,
            PlayOrder::tempoBeats($this->piece, ...PlayOrder::of($this->piece)),
            [$range->from],
        );
    }

    /**
     * @param  list<array{int, int}>  $ranges
     * @return list<Chunk>
     */
    private function ranges(ChunkKind $kind, array $ranges): array
    {
        $found = [];
        foreach ($ranges as [$from, $to]) {
            $this->collect($found, [$this->key($from, $to), $this->range($kind, $from, $to)]);
        }

        return $this->listed($found);
    }

    private function key(int $from, int $to): string
    {
        $key = '';
        $sounds = false;
        for ($i = $from; $i <= $to; $i++) {
            $key .= $this->bars[$i].'|';
            $sounds = $sounds || $this->bars[$i] !== '';
        }

        return $sounds ? $key : '';
    }

    private function range(ChunkKind $kind, int $from, int $to): Chunk
    {
        $first = $this->piece->measures[$from];
        $last = $this->piece->measures[$to];
        $start = $first->place(Fraction::zero());

        return new Chunk($kind, $from, $to, $start, $last->lastBeat(), PlayOrder::tempoBeats($this->piece, ...range($from, $to)), [$start]);
    }

    /** @return array{string, Chunk} its key and itself */
    private function throughNextBeat(ChunkKind $kind, int $from, int $to): array
    {
        $next = $this->piece->measures[$to + 1];
        $first = $next->firstSounding();
        $onset = $first === null ? Fraction::zero() : $first->onset;
        $beat = $next->meter->beats($next->offset->plus($onset))->floor();
        $start = $this->piece->measures[$from]->place(Fraction::zero());
        $key = $this->key($from, $to);
        foreach ($next->events() as $event) {
            if ($event->onset->equals($onset) && ($this->hand === null || $event->hand === $this->hand)) {
                $key .= "{$event->hand->value}{$onset}";
                foreach ($event->notes as $note) {
                    $key .= " {$note->pitch->name()}".($note->tieStop ? '~' : '');
                }
            }
        }
        $over = Fraction::of($beat + 1, $next->meter->unit)->minus($next->offset);
        $length = PlayOrder::tempoBeats($this->piece, ...range($from, $to))->plus($this->piece->meter()->beats($over));

        return [$this->key($from, $to) === '' ? '' : $key, new Chunk($kind, $from, $to + 1, $start, new Place($next->number, Fraction::of($beat)), $length, [$start])];
    }

    /**
     * @param  array<string, non-empty-list<Chunk>>  $found  by what it sounds like
     * @param  array{string, Chunk}  $keyed
     */
    private function collect(array &$found, array $keyed): void
    {
        $found[$keyed[0]][] = $keyed[1];
    }

    /**
     * @param  array<string, non-empty-list<Chunk>>  $found
     * @return list<Chunk> each once with the places it serves, without those in which nothing sounds
     */
    private function listed(array $found): array
    {
        unset($found['']);
        $listed = [];
        foreach ($found as $same) {
            $first = $same[0];
            $places = array_map(static fn (Chunk $chunk): Place => $chunk->from, $same);
            $listed[] = new Chunk($first->kind, $first->first, $first->last, $first->from, $first->to, $first->beats, $places);
        }

        return $listed;
    }

    /** @return array{?Hand, ?Hand} the hands that begin and end a bar in which they play in turns, or one alone */
    private static function firstAndLast(Measure $measure): array
    {
        $first = $last = null;
        foreach ($measure->inTime() as $event) {
            if (! $event->isRest()) {
                $first ??= $event->hand;
                $last = $event->hand;
            }
        }

        return [$first, $last];
    }
}

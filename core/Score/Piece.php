<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A piece on the grand staff, as the student's page has it. */
final readonly class Piece
{
    /** The goal, in quarter notes a minute. */
    public ?int $tempo;

    /** Where the printed range starts, in quarter notes a minute. */
    public ?int $tempoFrom;

    /**
     * @param  list<Measure>  $measures
     * @param  array<string, string>  $credits  what else is printed at the head or foot: lyricist, arranger, rights
     *
     * @throws InvalidScore when it has no measure
     */
    public function __construct(
        public string $title,
        public array $measures,
        public ?string $composer = null,
        public ?string $tempoWords = null,
        public ?Metronome $metronome = null,
        public Notation $notation = Notation::Staff,
        public array $credits = [],
    ) {
        if ($measures === []) {
            throw InvalidScore::emptyPiece();
        }
        $this->tempo = $metronome?->quarters();
        $this->tempoFrom = $metronome?->quartersFrom();
    }

    /** @param list<Measure> $measures */
    public function withMeasures(array $measures): self
    {
        return new self($this->title, $measures, $this->composer, $this->tempoWords, $this->metronome, $this->notation, $this->credits);
    }

    /** The same music with no tempo printed, for practice at another. */
    public function withoutTempo(): self
    {
        return new self($this->title, $this->measures, $this->composer, notation: $this->notation);
    }

    public function meter(): Meter
    {
        return $this->measures[$this->firstFull()]->meter;
    }

    public function key(): Key
    {
        return $this->measures[0]->key;
    }

    public function pickup(): ?Measure
    {
        return $this->measures[0]->pickup ? $this->measures[0] : null;
    }

    /** The index of the measure that bears the number 1, or as near to it as there is. */
    public function firstFull(): int
    {
        return $this->measures[0]->pickup && count($this->measures) > 1 ? 1 : 0;
    }

    public function last(): Measure
    {
        return $this->measures[count($this->measures) - 1];
    }

    /** @return list<Line> in the order of the page; one when no break is known */
    public function lines(): array
    {
        $starts = [0];
        foreach ($this->measures as $measure) {
            if ($measure->newLine && $measure->index > 0) {
                $starts[] = $measure->index;
            }
        }
        $starts[] = count($this->measures);
        $lines = [];
        for ($i = 0; $i < count($starts) - 1; $i++) {
            $lines[] = new Line($starts[$i], $starts[$i + 1] - 1);
        }

        return $lines;
    }

    /** @return list<Event> one hand's main voice, through the piece as written */
    public function hand(Hand $hand): array
    {
        $events = [];
        foreach ($this->measures as $measure) {
            foreach ($measure->of($hand) as $event) {
                $events[] = $event;
            }
        }

        return $events;
    }

    public function plays(Hand $hand): bool
    {
        foreach ($this->measures as $measure) {
            foreach ($measure->of($hand) as $event) {
                if (! $event->isRest()) {
                    return true;
                }
            }
        }

        return false;
    }

    public function place(Event $event): Place
    {
        return $this->measures[$event->measure]->place($event->onset);
    }
}

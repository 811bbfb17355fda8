<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Puts measures together as a page is read: lengths, numbers, the pickup, ids. */
final class PieceBuilder
{
    /** @var list<array{number: int|null, implicit: bool, meter: Meter, key: Key, events: array<string, list<array{Clef, Fraction, Duration, list<Note>, list<Mark>, string|null, string|null}>>, repeatStart: bool, repeatEnd: bool, endings: list<int>, newLine: bool}> */
    private array $drafts = [];

    public string $title = '';

    public ?string $composer = null;

    public ?string $tempoWords = null;

    public ?int $tempo = null;

    public ?int $tempoFrom = null;

    /** @param int|null $number as printed, where the source says it */
    public function measure(Meter $meter, Key $key, ?int $number = null, bool $implicit = false, bool $newLine = false): void
    {
        $this->drafts[] = [
            'number' => $number, 'implicit' => $implicit, 'meter' => $meter, 'key' => $key,
            'events' => ['R' => [], 'L' => []],
            'repeatStart' => false, 'repeatEnd' => false, 'endings' => [], 'newLine' => $newLine,
        ];
    }

    /**
     * Adds to the measure begun last.
     *
     * @param  list<Note>  $notes
     * @param  list<Mark>  $marks
     */
    public function event(Hand $hand, Clef $clef, Fraction $onset, Duration $duration, array $notes, array $marks = [], ?string $lyric = null, ?string $dynamic = null): void
    {
        usort($notes, static fn (Note $a, Note $b): int => $a->pitch->midi() <=> $b->pitch->midi());
        $this->drafts[count($this->drafts) - 1]['events'][$hand->value][] = [$clef, $onset, $duration, $notes, $marks, $lyric, $dynamic];
    }

    public function repeatStart(): void
    {
        $this->drafts[count($this->drafts) - 1]['repeatStart'] = true;
    }

    public function repeatEnd(): void
    {
        $this->drafts[count($this->drafts) - 1]['repeatEnd'] = true;
    }

    /** @param list<int> $passes */
    public function endings(array $passes): void
    {
        $this->drafts[count($this->drafts) - 1]['endings'] = $passes;
    }

    public function count(): int
    {
        return count($this->drafts);
    }

    /** @throws InvalidScore when there is no measure */
    public function piece(): Piece
    {
        $lengths = array_map($this->length(...), $this->drafts);
        $pickup = $this->startsWithPickup($lengths);
        $numbers = $this->numbers($pickup);
        $measures = [];
        foreach ($this->drafts as $index => $draft) {
            $measures[] = new Measure(
                $index,
                $numbers[$index],
                $draft['meter'],
                $draft['key'],
                $lengths[$index],
                $this->events($draft, Hand::Right, $index, $numbers[$index]),
                $this->events($draft, Hand::Left, $index, $numbers[$index]),
                $pickup && $index === 0,
                $draft['repeatStart'],
                $draft['repeatEnd'],
                $draft['endings'],
                $draft['newLine'],
            );
        }

        return new Piece($this->title, $measures, $this->composer, $this->tempoWords, $this->tempo, $this->tempoFrom);
    }

    /**
     * What is written in the fuller hand; an empty measure has its full length.
     *
     * @param  array{meter: Meter, events: array<string, list<array{Clef, Fraction, Duration, list<Note>, list<Mark>, string|null, string|null}>>}  $draft
     */
    private function length(array $draft): Fraction
    {
        $length = Fraction::zero();
        foreach ($draft['events'] as $events) {
            foreach ($events as [, $onset, $duration]) {
                $length = $length->max($onset->plus($duration->whole));
            }
        }

        return $length->isZero() ? $draft['meter']->measure() : $length;
    }

    /**
     * A short first measure is a pickup when the page says so, or when the last measure completes it.
     *
     * @param  list<Fraction>  $lengths
     */
    private function startsWithPickup(array $lengths): bool
    {
        if (count($lengths) < 2) {
            return false;
        }
        $first = $this->drafts[0];
        $full = $first['meter']->measure();
        if ($lengths[0]->compare($full) >= 0) {
            return false;
        }
        $together = $lengths[0]->plus($lengths[count($lengths) - 1]);

        return $first['implicit'] || $first['number'] === 0 || $together->equals($full);
    }

    /** @return list<int> */
    private function numbers(bool $pickup): array
    {
        $printed = array_column($this->drafts, 'number');
        $rising = count($printed) === count($this->drafts);
        foreach ($printed as $i => $number) {
            $rising = $rising && $number !== null && ($i === 0 || $number > $printed[$i - 1]);
        }
        if ($rising && ($printed[0] === 0) === $pickup) {
            return array_map(intval(...), $printed);
        }

        return range($pickup ? 0 : 1, count($this->drafts) - ($pickup ? 1 : 0));
    }

    /**
     * @param  array{events: array<string, list<array{Clef, Fraction, Duration, list<Note>, list<Mark>, string|null, string|null}>>}  $draft
     * @return list<Event>
     */
    private function events(array $draft, Hand $hand, int $index, int $number): array
    {
        $events = [];
        foreach ($draft['events'][$hand->value] ?? [] as $i => [$clef, $onset, $duration, $notes, $marks, $lyric, $dynamic]) {
            $id = "{$hand->value}{$number}-".($i + 1);
            $events[] = new Event($id, $hand, $clef, $index, $onset, $duration, $notes, $marks, $lyric, $dynamic);
        }

        return $events;
    }
}

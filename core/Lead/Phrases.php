<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

use Nasturtium\Core\Pattern\Bars;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** The parts of some bars, as a teacher takes them: lines and their halves, line ends, and lines that are another one again. */
final readonly class Phrases
{
    /** Bars of a line, from which on it is taken by halves. */
    private const HALVED = 4;

    /**
     * @param  list<array{int, int}>  $lines  indices of first and last measures, within the bars
     * @param  list<int>  $numbers  of those lines on the page, from 1
     */
    private function __construct(private Piece $piece, private ?Hand $hand, public array $lines, public array $numbers) {}

    /** @param array{int, int} $bars indices of the first and last measure */
    public static function of(Piece $piece, array $bars, ?Hand $hand): self
    {
        $lines = $numbers = [];
        foreach ($piece->lines() as $i => $line) {
            $from = max($line->from, $bars[0]);
            $to = min($line->to, $bars[1]);
            if ($from <= $to && self::isPlayed($piece, [$from, $to], $hand)) {
                $lines[] = [$from, $to];
                $numbers[] = $i + 1;
            }
        }

        return new self($piece, $hand, $lines, $numbers);
    }

    /**
     * The hand strikes a key in them.
     *
     * @param  array{int, int}  $bars
     */
    public static function isPlayed(Piece $piece, array $bars, ?Hand $hand): bool
    {
        foreach (array_slice($piece->measures, $bars[0], $bars[1] - $bars[0] + 1) as $measure) {
            foreach ($measure->events() as $event) {
                if ($event->notes !== [] && ($hand === null || $event->hand === $hand)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  array{int, int}  $bars
     * @return list<array{int, int}> two halves that are both played; none for what is short
     */
    public function halves(array $bars): array
    {
        [$from, $to] = $bars;
        $middle = $from + intdiv($to - $from + 1, 2);
        $halves = $to - $from + 1 < self::HALVED ? [] : [[$from, $middle - 1], [$middle, $to]];

        return array_filter($halves, fn (array $half): bool => ! self::isPlayed($this->piece, $half, $this->hand)) === [] ? $halves : [];
    }

    /**
     * Smaller bars than these, for where they went wrong.
     *
     * @param  array{int, int}  $bars
     * @return array{int, int} the first half; of one bar, and where the hand rests in it, themselves
     */
    public static function smaller(Piece $piece, array $bars, ?Hand $hand): array
    {
        $half = [$bars[0], $bars[0] + max(0, intdiv($bars[1] - $bars[0] + 1, 2) - 1)];

        return self::isPlayed($piece, $half, $hand) ? $half : $bars;
    }

    /** The line before that this one is again, by its place in the list; null where it is new. */
    public function sameAs(int $line): ?int
    {
        for ($other = 0; $other < $line; $other++) {
            if ($this->sounds($this->lines[$other]) === $this->sounds($this->lines[$line])) {
                return $other;
            }
        }

        return null;
    }

    /** @return ?array{int, int} the last bar of the line before, and the first of this one; null where the hand rests in one of them */
    public function lineEnd(int $line): ?array
    {
        [$before, $first] = [$this->lines[$line][0] - 1, $this->lines[$line][0]];
        $isPlayed = fn (int $bar): bool => self::isPlayed($this->piece, [$bar, $bar], $this->hand);

        return isset($this->lines[$line - 1]) && $this->lines[$line - 1][1] === $before && $isPlayed($before) && $isPlayed($first) ? [$before, $first] : null;
    }

    /** @param array{int, int} $bars */
    private function sounds(array $bars): string
    {
        $of = array_map(
            fn (int $i): string => $this->hand === null ? Bars::both($this->piece->measures[$i]) : Bars::same($this->piece->measures[$i], $this->hand),
            range($bars[0], $bars[1]),
        );

        return implode(' | ', $of);
    }
}

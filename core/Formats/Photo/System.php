<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;

/** A line of the page: one staff, or the two of a grand staff, with its bars. */
final class System
{
    /** How many times as wide as a mirage of a staff a staff is. */
    private const MIRAGE = 2;

    /** Columns before the last bar line in which a clef warns of the next line's. */
    private const WARNED = 42;

    /** @var list<array{float, float, BarLine|null, BarLine|null}> from and to in the picture, and the lines there */
    public array $bars = [];

    /** @var list<array{float, float}> first and second endings, from and to in the picture */
    public array $endings = [];

    /** @var array<int, Signature> by bar, the key and the time that change there */
    public array $signatures = [];

    /** Pixels of a strip to the line of the page above and below. */
    private float $above = INF;

    private float $below = INF;

    /** Columns between two strokes that stand above one another. */
    private const ABOVE = 12;

    /** Columns that a key and a time take at most. */
    private const SIGNED = 10 * Strip::SPACE;

    /** Rows above a staff and below it that the signs of a key may take. */
    private const ABOUT = 24;

    /** @param non-empty-list<Staff> $staves */
    public function __construct(public readonly array $staves)
    {
        $this->findBars();
    }

    /**
     * @param  non-empty-list<Staff> $staves from the top
     * @return non-empty-list<self>
     */
    public static function of(array $staves): array
    {
        $systems = [];
        foreach (self::pairs($staves) as $pair) {
            $systems[] = new self($pair);
        }

        return $systems;
    }

    /**
     * @param  non-empty-list<Staff>                 $staves
     * @return non-empty-list<non-empty-list<Staff>>
     */
    private static function pairs(array $staves): array
    {
        $systems = [];
        $pairs = 0;
        $staves = self::withoutBetween($staves);
        for ($i = 0; $i < count($staves); $i++) {
            $isPair = isset($staves[$i + 1]) && $staves[$i]->isJoinedBelow();
            $systems[] = $isPair ? [$staves[$i], $staves[++$i]] : [$staves[$i]];
            $pairs += $isPair ? 1 : 0;
        }
        $widest = max(array_map(static fn (Staff $staff): int => $staff->strip->width(), $staves));
        // What is short and stands alone among grand staves is a mirage of one.
        $whole = array_values(array_filter($systems, static fn (array $system): bool => isset($system[1]) || self::MIRAGE * $system[0]->strip->width() >= $widest));
        if ($pairs > 0 && count($systems) - $pairs <= 1 && $whole !== []) {
            return $whole;
        }
        if (count($staves) % 2 === 1 || 4 * $pairs < count($staves)) {
            return array_map(static fn (Staff $staff): array => [$staff], $staves);
        }

        return array_chunk($staves, 2);
    }

    /**
     * The staves of a grand staff are as long as each other: what is short between two that a line joins is a mirage.
     *
     * @param  non-empty-list<Staff> $staves
     * @return non-empty-list<Staff>
     */
    private static function withoutBetween(array $staves): array
    {
        $kept = [$staves[0]];
        foreach (array_slice($staves, 1) as $i => $staff) {
            $before = $kept[count($kept) - 1];
            $after = $staves[$i + 2] ?? null;
            $isShort = static fn (Staff $beside): bool => self::MIRAGE * $staff->strip->width() < $beside->strip->width();
            if ($after === null || ! $before->isJoinedBelow() || ! $isShort($before) || ! $isShort($after)) {
                $kept[] = $staff;
            }
        }

        return $kept;
    }

    /** Looked at a second time: what is played alone is read. */
    public function again(Picture $picture): self
    {
        $again = new self(array_map(static fn (Staff $staff): Staff => $staff->again($picture), $this->staves));
        [$again->above, $again->below] = [$this->above, $this->below];

        return $again;
    }

    /**
     * What stands nearer to the line above or below is of that one.
     *
     * @param non-empty-list<self> $systems of a page, from the top
     */
    public static function part(array $systems): void
    {
        for ($i = 1; isset($systems[$i]); $i++) {
            $last = $systems[$i - 1]->staves;
            $gap = $last[count($last) - 1]->gapTo($systems[$i]->staves[0]);
            $systems[$i - 1]->below = $gap;
            $systems[$i]->above = $gap;
        }
    }

    /** Whether a time stands at its left, as where a piece begins; it is read as one that does, if so. */
    public function opensAnew(): bool
    {
        $openings = array_map(static fn (Staff $staff): Opening => OpeningReader::read($staff->strip, $staff->blobs, true), $this->staves);
        if (self::timeOf($openings) === null) {
            return false;
        }
        foreach ($this->staves as $i => $staff) {
            $staff->opening = $openings[$i];
        }
        $this->bars = [];
        $this->findBars();

        return true;
    }

    /**
     * Where the next line has another clef than this one ends with, that stands at the end of this one too, small, right before the
     * bar line: it is no note, though it was not known by its print.
     */
    public function endBefore(self $next): void
    {
        foreach ($this->staves as $i => $staff) {
            $last = $staff->bars[count($staff->bars) - 1] ?? null;
            if ($last !== null && isset($next->staves[$i]) && $next->staves[$i]->opening->clef !== $staff->clefAt(INF)) {
                $staff->items = array_values(array_filter($staff->items, static fn (Item $item): bool => $item->x < $last->left - self::WARNED || $item->x > $last->right));
            }
        }
    }

    /** The key that both of its staves show; null where they differ, or where there is one alone, which may lack a sign. */
    public function key(): ?int
    {
        $keys = array_unique(array_map(static fn (Staff $staff): int => $staff->opening->fifths, $this->staves));

        return isset($this->staves[1]) && count($keys) === 1 ? $keys[0] : null;
    }

    /** The time that all of its staves show at the left. */
    public function time(): ?Meter
    {
        return self::timeOf(array_map(static fn (Staff $staff): Opening => $staff->opening, $this->staves));
    }

    /** @param non-empty-list<Opening> $openings */
    private static function timeOf(array $openings): ?Meter
    {
        $times = array_unique(array_map(static fn (Opening $opening): ?Meter => $opening->time?->meter(), $openings), SORT_REGULAR);

        return count($times) === 1 ? $times[0] : null;
    }

    /** Where the key of one of its staves has more signs than that of the piece and the other has not, a chord was taken for them. */
    public function keepTo(int $fifths): void
    {
        if (! isset($this->staves[1]) || $this->key() !== null) {
            return;
        }
        foreach ($this->staves as $staff) {
            if (abs($staff->opening->fifths) > abs($fifths)) {
                $staff->opening = OpeningReader::read($staff->strip, $staff->blobs, $staff->opening->time !== null, abs($fifths));
            }
        }
        $this->bars = [];
        $this->findBars();
    }

    private function findBars(): void
    {
        foreach ($this->staves as $staff) {
            $staff->clefs = array_map(static fn (array $one): array => [$staff->strip->pageX[$one[0]->left] ?? 0.0, $one[1]], ClefReader::among($staff->blobs, $staff->opening->end));
        }
        $lines = [];
        foreach ($this->lines() as [$upper, $lower]) {
            $at = $this->staves[0]->strip->pageX[(int) $upper->x()] ?? 0.0;
            $lines[] = [$at, $upper, $lower];
        }
        foreach ($this->staves as $i => $staff) {
            $staff->bars = array_values(array_filter(array_map(static fn (array $line): ?BarLine => $line[1 + $i], $lines)));
        }
        $first = $this->staves[0];
        $from = $first->strip->pageX[min($first->opening->end, $first->strip->width() - 1)] ?? 0.0;
        $before = null;
        foreach ($lines as [$at, $bar, $other]) {
            $line = $other === null ? $bar : new BarLine($bar->left, $bar->right, max($bar->thick, $other->thick), $bar->dotsBefore || $other->dotsBefore, $bar->dotsAfter || $other->dotsAfter);
            // A repeat that begins at the left of a line stands right after the opening.
            if ($at - $from < 3 * Strip::SPACE) {
                $before = $line;
            } else {
                $this->bars[] = [$from, $at, $before, $line];
                $before = $line;
            }
            $from = $at;
        }
        $this->closeLast($from, $before);
    }

    /**
     * What is a line in both staves at one place.
     *
     * @return list<array{BarLine, BarLine|null}>
     */
    private function lines(): array
    {
        $strokes = [];
        foreach ($this->staves as $i => $staff) {
            $strokes[] = array_values(array_filter(
                BarLineFinder::strokes($staff->strip, $i === 1, $i === 0 && isset($this->staves[1])),
                static fn (array $stroke): bool => $stroke[1] > $staff->opening->end,
            ));
        }
        [$upper, $lower] = isset($strokes[1]) ? $this->paired($strokes[0], $strokes[1]) : [array_values(array_filter($strokes[0], fn (array $stroke): bool => ! $this->isStem(0, $stroke))), []];
        $first = BarLineFinder::joined($upper, $this->staves[0]->blobs, $this->staves[0]->strip);
        if (! isset($this->staves[1])) {
            return $this->withoutNumbers(array_map(static fn (BarLine $line): array => [$line, null], $first));
        }
        $second = BarLineFinder::joined($lower, $this->staves[1]->blobs, $this->staves[1]->strip);
        $pairs = [];
        foreach ($first as $line) {
            $at = $this->staves[0]->strip->pageX[(int) $line->x()] ?? 0.0;
            foreach ($second as $other) {
                if (abs(($this->staves[1]->strip->pageX[(int) $other->x()] ?? 0.0) - $at) < 20) {
                    $pairs[] = [$line, $other];
                    break;
                }
            }
        }

        return $this->withoutNumbers($pairs);
    }

    /**
     * Strokes of both staves that stand above one another. A stem may be as tall as the bar line beside it, which is sooner one.
     *
     * @param  list<array{int, int}>                                $above
     * @param  list<array{int, int}>                                $below
     * @return array{list<array{int, int}>, list<array{int, int}>} those of the upper staff and of the lower, from left to right
     */
    private function paired(array $above, array $below): array
    {
        $strokes = [];
        foreach ([$above, $below] as $staff => $all) {
            foreach ($all as $stroke) {
                $strokes[$staff][] = [$this->staves[$staff]->strip->pageX[$stroke[0]] ?? 0.0, $this->isStem($staff, $stroke), $stroke];
            }
        }
        [$upper, $lower] = [[], []];
        [$own, $others] = [$strokes[0] ?? [], $strokes[1] ?? []];
        foreach ($own as [$at, $stem, $stroke]) {
            foreach ($others as $i => [$x, $isStem, $other]) {
                $isLess = $stem && ($isStem || self::hasLine($own, $x)) || $isStem && self::hasLine($others, $at);
                if (abs($x - $at) < self::ABOVE && ! $isLess) {
                    $upper[] = $stroke;
                    $lower[] = $other;
                    unset($others[$i]);
                    break;
                }
            }
        }

        return [$upper, $lower];
    }

    /**
     * Whether a stroke that is no stem stands there.
     *
     * @param array<int, array{float, bool, array{int, int}}> $strokes
     */
    private static function hasLine(array $strokes, float $at): bool
    {
        return array_filter($strokes, static fn (array $one): bool => ! $one[1] && abs($one[0] - $at) < self::ABOVE) !== [];
    }

    /**
     * The 4 of a time is as tall as a bar line.
     *
     * @param  list<array{BarLine, BarLine|null}> $pairs
     * @return list<array{BarLine, BarLine|null}>
     */
    private function withoutNumbers(array $pairs): array
    {
        $kept = [];
        foreach ($pairs as $pair) {
            $before = $kept[count($kept) - 1] ?? null;
            if ($before !== null && $pair[0]->left - $before[0]->right < self::SIGNED) {
                $from = array_map(static fn (BarLine $line): int => $line->right + 1, array_filter($before));
                $clefs = array_map(static fn (Staff $staff, int $column): Clef => $staff->clefAt($staff->strip->pageX[$column] ?? 0.0), $this->staves, $from);
                $signature = SignatureReader::after($this->staves, $from, $clefs, $this->key() ?? $this->staves[0]->opening->fifths);
                if ($signature?->time !== null && $pair[0]->left < $signature->ends[0]) {
                    continue;
                }
            }
            $kept[] = $pair;
        }

        return $kept;
    }

    /** @param array{int, int} $stroke */
    private function isStem(int $staff, array $stroke): bool
    {
        $strip = $this->staves[$staff]->strip;

        return BarLineFinder::isStem($strip, ...$stroke) || isset($this->staves[1]) && BarLineFinder::isOfHeads($strip, $stroke[0], $stroke[1], $staff === 0);
    }

    /** What stands after the last line that was seen is a bar whose line was not. */
    private function closeLast(float $from, ?BarLine $before): void
    {
        $end = min(array_map(static fn (Staff $staff): float => (float) $staff->strip->path->to(), $this->staves));
        if ($this->bars === [] || $end - $from > 9 * Strip::SPACE) {
            $this->bars[] = [$from, $end + 2 * Strip::SPACE, $before, null];
        }
    }

    /** A bar becomes two, with a line between them that was not seen. */
    public function splitBar(int $b, float $at): void
    {
        [$from, $to, $before, $after] = $this->bars[$b];
        array_splice($this->bars, $b, 1, [[$from, $at, $before, null], [$at, $to, null, $after]]);
        $signatures = [];
        foreach ($this->signatures as $of => $signature) {
            $signatures[$of > $b ? $of + 1 : $of] = $signature;
        }
        $this->signatures = $signatures;
    }

    /** Which of its endings is over two places of the picture; null where none is. */
    public function endingOver(float $from, float $to): ?int
    {
        foreach ($this->endings as $i => [$left, $right]) {
            if ($left < ($from + $to) / 2 && $right > ($from + $to) / 2) {
                return $i;
            }
        }

        return null;
    }

    /** Pixels of a strip between the two staves; null where there is one. */
    public function gap(): ?float
    {
        if (! isset($this->staves[1])) {
            return null;
        }

        return $this->staves[0]->gapTo($this->staves[1]);
    }

    /** The words below its first staff, where there are any. */
    public function giveLyrics(WordReader $words): void
    {
        $gap = $this->gap();
        Lyrics::give($this->staves[0], $this->staves[1] ?? null, $gap === null ? Strip::HEIGHT : (int) (Strip::BOTTOM + $gap - 2), $words);
    }

    /**
     * Reads the clefs, keys and times that stand within the line; what they take up is no note.
     *
     * @param int $fifths the key at its left
     */
    private function readChanges(int $fifths): void
    {
        $boxes = [];
        foreach ($this->staves as $i => $staff) {
            $boxes[$i] = array_map(
                static fn (array $one): array => [$one[0]->left - 1, $one[0]->right + 1, $one[0]->top, $one[0]->bottom],
                ClefReader::among($staff->blobs, $staff->opening->end),
            );
        }
        foreach ($this->bars as $b => [$from, , $before]) {
            $columns = array_map(static fn (Staff $staff): int => self::after($staff, $from), $this->staves);
            $clefs = array_map(static fn (Staff $staff): Clef => $staff->clefAt($from), $this->staves);
            $signature = $b === 0 || $before === null ? null : SignatureReader::after($this->staves, $columns, $clefs, $fifths);
            if ($signature !== null) {
                $this->signatures[$b] = $signature;
                $fifths = $signature->fifths ?? $fifths;
                foreach ($signature->ends as $i => $end) {
                    $boxes[$i][] = [$columns[$i], $end + 1, Strip::TOP - self::ABOUT, Strip::BOTTOM + self::ABOUT];
                }
            }
        }
        foreach ($this->staves as $i => $staff) {
            $staff->takeOut($boxes[$i]);
        }
    }

    /** The column of a staff after the bar line at a place of the picture. */
    private static function after(Staff $staff, float $from): int
    {
        $at = $staff->strip->columnAt($from);
        foreach ($staff->bars as $bar) {
            if (abs($bar->x() - $at) < Strip::SPACE) {
                return $bar->right + 1;
            }
        }

        return $at;
    }

    /** @param int $fifths the key of its piece, where its own is not sure */
    public function read(int $fifths): void
    {
        $this->readNotes($fifths);
        $curves = [];
        foreach ($this->staves as $i => $staff) {
            $curves[] = Curves::of($staff->strip, $staff->opening->end);
            [$staff->slurComes, $staff->slurGoes] = SlurReader::give($staff->items, $curves[$i]);
        }
        $this->endings = EndingReader::of($this->staves[0], $curves[0]);
        HairpinReader::give($this->staves, $curves, (int) (Strip::BOTTOM + ($this->gap() ?? 0.0)));
    }

    /**
     * Reads notes and rests, and what stands at each of them.
     *
     * @param int $fifths as for read()
     */
    public function readNotes(int $fifths): void
    {
        $this->readChanges($this->key() ?? $fifths);
        $gap = $this->gap();
        foreach ($this->staves as $i => $staff) {
            $top = (int) max(0, Strip::TOP - ($gap === null || $i === 0 ? $this->above : $gap) / 2);
            $bottom = (int) min(Strip::HEIGHT, Strip::BOTTOM + ($gap === null || $i > 0 ? $this->below : $gap) / 2);
            $next = $gap === null || $i > 0 ? Strip::HEIGHT : (int) (Strip::BOTTOM + $gap);
            $dynamics = new DynamicReader($staff->blobs, $staff->opening->end, $next);
            $staff->items = StaffReader::read($staff->strip, $staff->blobs, $staff->bars, $staff->opening, $top, $bottom, $dynamics);
            $staff->loud = $dynamics->ink();
        }
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads what stands on a staff: notes with their stems, beams, dots, accidentals and fingers, and rests. */
final class StaffReader
{
    /** Columns between two heads on either side of a stem. */
    private const BESIDE = 16.8;

    private const BESIDE_HOLLOW = 12.0;

    /** Columns that a whole note takes, where a half is narrower. */
    private const WHOLE = 22;

    /** Rows of the longest stroke of an accidental. */
    private const STROKE = 62;

    /** How much surer the heads at one end of a stem are than those at the other, where those are none. */
    private const SURER = 0.05;

    /** Rows that a stem goes on beyond its last head, at least. */
    private const BEYOND = 20;

    /** @var list<Head> */
    private array $heads = [];

    /** @var list<Stem> */
    private array $stems = [];

    /** @var list<Item> */
    private array $items = [];

    /** @var list<Blob> */
    private array $blobs;

    /** @var list<Blob> what looks like a rest or an accidental and nothing else */
    private array $signs;

    private readonly RestReader $restReader;

    private readonly AccidentalReader $accidentals;

    /**
     * @param list<Blob>    $blobs
     * @param list<BarLine> $bars
     */
    private function __construct(private readonly Strip $strip, array $blobs, private readonly array $bars, private readonly Opening $opening)
    {
        $this->blobs = Accidentals::whole($blobs, $opening->end, $strip->width());
        $this->restReader = new RestReader($strip, $this->blobs, $opening->end);
        $this->accidentals = new AccidentalReader($strip, $this->blobs, $opening->end);
        $this->signs = [...$this->restReader->sure(), ...$this->accidentals->sure()];
    }

    /**
     * @param  list<Blob>    $blobs
     * @param  list<BarLine> $bars
     * @param  int           $top    rows above are of the staff that stands there
     * @param  int           $bottom likewise below
     * @return list<Item>    from left to right
     */
    public static function read(Strip $strip, array $blobs, array $bars, Opening $opening, int $top, int $bottom): array
    {
        $reader = new self($strip, $blobs, $bars, $opening);
        $reader->notes();
        array_push($reader->items, ...$reader->restReader->items(fn (Blob $blob): bool => $reader->isBar($blob->x()) || $reader->isOfNote($blob)));
        usort($reader->items, static fn (Item $a, Item $b): int => $a->x <=> $b->x);
        foreach ($reader->items as $i => $item) {
            $next = $reader->items[$i + 1]->stem ?? null;
            $item->beamedOn = $item->beams > 0 && $item->stem !== null && $next !== null && BeamCounter::joins($strip, $item->stem, $next);
            $item->flag = $item->stem === null || $item->beamedOn || ($reader->items[$i - 1]->beamedOn ?? false) ? null : BeamCounter::flag($strip, $item->stem);
        }
        (new DotReader($reader->blobs, $bars))->give($reader->items);
        $reader->accidentals->give($reader->heads);
        $reader->doubtStrokes();
        (new FingerReader($reader->blobs, $top, $bottom))->give($reader->items);
        (new TieReader($strip))->give($reader->items);
        (new MarkReader($reader->blobs, $top, $bottom))->give($reader->items);

        return $reader->items;
    }

    private function notes(): void
    {
        $heads = array_values(array_filter(Heads::of($this->strip, $this->opening->end), fn (Head $head): bool => ! $this->isOfSign($head) && ! ($head->hollow && $this->endsInDot($head))));
        $heads = Rings::placed($this->strip, $heads);
        foreach (Stems::of($this->strip) as $stem) {
            if (! $this->isBar($stem->x) && $stem->x > $this->opening->end) {
                $this->stems[] = $stem;
            }
        }
        $heads = array_values(array_filter($heads, fn (Head $head): bool => ! $head->hollow || ! $this->isNearBar($head)));
        foreach ($heads as $head) {
            $this->attach($head);
        }
        foreach ($heads as $head) {
            $this->attachBeside($head);
        }
        foreach ($this->stems as $stem) {
            $this->settle($stem, $heads);
            $seconds = Seconds::of($this->strip, $stem);
            self::takeOver($seconds, $heads);
            array_push($heads, ...$seconds);
        }
        foreach ($heads as $head) {
            if ($head->isNone || ($head->stem === null && (! $head->hollow || $head->width < self::WHOLE || (($head->tallLeft || $head->tallRight) && ! self::isInStack($head, $heads)) || $this->isOnStem($head)))) {
                continue;
            }
            $this->heads[] = $head;
            if ($head->stem === null) {
                $this->add([$head], 4 * Item::QUARTER, 0, null);
            }
        }
        foreach ($this->items as $item) {
            foreach (Rings::beside($this->strip, $item->heads, null) as $head) {
                $this->heads[] = $head;
                $this->add([$head], 4 * Item::QUARTER, 0, null);
            }
        }
        foreach ($this->stems as $stem) {
            $heads = array_values(array_filter($stem->heads, fn (Head $head): bool => in_array($head, $this->heads, true)));
            if ($heads !== []) {
                $hollow = count(array_filter($heads, static fn (Head $head): bool => $head->hollow));
                $half = 2 * $hollow > count($heads);
                $more = $half ? Rings::beside($this->strip, $heads, $stem) : [];
                array_push($this->heads, ...$more);
                array_push($heads, ...$more);
                $beams = $half ? 0 : BeamCounter::count($this->strip, $stem);
                $this->add($heads, $half ? 2 * Item::QUARTER : Item::QUARTER >> $beams, $beams, $stem);
            }
        }
    }

    /** Right before a note an upright stroke that is of nothing else is of an accidental that was not known. */
    private function doubtStrokes(): void
    {
        foreach ($this->stems as $stem) {
            if ($stem->heads !== [] || $stem->height() > self::STROKE || $this->isFlag($stem)) {
                continue;
            }
            $near = [];
            foreach ($this->heads as $head) {
                $gap = $head->x - $head->width / 2 - $stem->x;
                if ($gap > 1 && $gap < 24 && abs(($stem->top + $stem->bottom) / 2 - $head->y()) < 12) {
                    $near[] = $head;
                }
            }
            if ($near !== [] && array_filter($near, static fn (Head $head): bool => $head->sign !== null) === []) {
                $near[0]->doubt ??= 'sign';
            }
        }
    }

    private function isFlag(Stem $stroke): bool
    {
        foreach ($this->stems as $stem) {
            if ($stem->heads !== [] && $stroke->x > $stem->x && $stroke->x - $stem->x < 26 && $stroke->top < $stem->bottom && $stroke->bottom > $stem->top) {
                return true;
            }
        }

        return false;
    }

    /**
     * A head beside its stem was perhaps given to a flag that looks like one.
     *
     * @param list<Head> $seconds
     * @param list<Head> $heads
     */
    private static function takeOver(array $seconds, array $heads): void
    {
        foreach ($seconds as $second) {
            foreach ($heads as $head) {
                if ($head->place === $second->place && abs($head->x - $second->x) < 8 && ($head->stem === null || $head->stem->height() < $second->stem?->height())) {
                    $head->isNone = true;
                }
            }
        }
    }

    private function isBar(float $x): bool
    {
        foreach ($this->bars as $bar) {
            $around = $bar->thick > 0 ? 12 : 4;
            if ($x >= $bar->left - $around && $x <= $bar->right + $around) {
                return true;
            }
        }

        return false;
    }

    /** Between the strokes and the dots of a repeat there is no whole note. */
    private function isNearBar(Head $head): bool
    {
        foreach ($this->bars as $bar) {
            if ($head->x > $bar->left - 14 && $head->x < $bar->right + ($bar->dotsAfter ? 22 : 14)) {
                return true;
            }
        }

        return false;
    }

    /** A dot is no side of a ring. */
    private function endsInDot(Head $head): bool
    {
        foreach ($this->blobs as $blob) {
            if ($blob->left > $head->x && $blob->left < $head->x + $head->width / 2 && abs($blob->y() - $head->y()) < 7 && max($blob->width(), $blob->height()) <= 10 && $blob->isDot()) {
                return true;
            }
        }

        return false;
    }

    /** What thickens in a rest or in a sharp is no head. */
    private function isOfSign(Head $head): bool
    {
        foreach ($this->signs as $blob) {
            if ($head->x > $blob->left - 4 && $head->x < $blob->right + 4 && $head->y() > $blob->top - 4 && $head->y() < $blob->bottom + 4) {
                return true;
            }
        }

        return false;
    }

    /** No stem goes through a whole note. */
    private function isOnStem(Head $head): bool
    {
        foreach ($this->stems as $stem) {
            if ($stem->heads !== [] && abs($stem->x - $head->x) < $head->width / 2 && $stem->top - 4 < $head->y() && $stem->bottom + 4 > $head->y()) {
                return true;
            }
        }

        return false;
    }

    private function attach(Head $head): void
    {
        $best = null;
        $nearest = 99.0;
        foreach ($this->stems as $stem) {
            $side = $stem->x - $head->x;
            $far = abs(abs($side) - $head->width / 2);
            // To the right it goes up, to the left down.
            $ends = $side > 0 ? $head->y() - $stem->top : $stem->bottom - $head->y();
            if (self::touches($stem, $head) && $ends >= 24 && $far < $nearest && ! ($side > 0 ? $head->tallLeft : $head->tallRight)) {
                $nearest = $far;
                $best = $stem;
            }
        }
        $head->stem = $best;
        if ($best !== null) {
            $best->heads[] = $head;
        }
    }

    private static function touches(Stem $stem, Head $head): bool
    {
        $side = abs($stem->x - $head->x);

        return $side >= 4 && $side <= $head->width / 2 + 5 && $head->y() >= $stem->top - 9 && $head->y() <= $stem->bottom + 9;
    }

    /** At the end of a stem a head may stand on its other side, a step from one that stands where it should. */
    private function attachBeside(Head $head): void
    {
        foreach ($head->stem === null ? $this->stems : [] as $stem) {
            $side = $stem->x - $head->x;
            foreach (self::touches($stem, $head) ? $stem->heads : [] as $other) {
                if ($other->hollow === $head->hollow && abs($other->place - $head->place) === 1 && ($stem->x - $other->x) * $side < 0 && abs($other->x - $head->x) > ($head->hollow ? self::BESIDE_HOLLOW : self::BESIDE)) {
                    $head->stem = $stem;
                    $stem->heads[] = $head;

                    return;
                }
            }
        }
    }

    /**
     * A stem goes one way; what hangs at its other end, or is only touched by it, is not its own.
     *
     * @param list<Head> $all
     */
    private function settle(Stem $stem, array $all): void
    {
        if ($stem->heads === []) {
            return;
        }
        // In a flag or between a stem and a dot there may be a hole; a chord is filled or hollow as one.
        $filled = array_filter($stem->heads, static fn (Head $head): bool => ! $head->hollow) !== [];
        $stem->up = $this->goesUp($stem, array_filter($stem->heads, static fn (Head $head): bool => ! $filled || ! $head->hollow));
        $kept = [];
        foreach ($stem->heads as $head) {
            if ($filled && $head->hollow) {
                $head->isNone = true;
            } elseif (($stem->x > $head->x) === $stem->up || count($stem->heads) > 1 && $this->isSecond($stem, $head)) {
                $kept[] = $head;
            } else {
                $head->stem = null;
            }
        }
        $stem->heads = $kept;
        $wide = array_filter($kept, static fn (Head $head): bool => $head->width >= self::WHOLE);
        if ($filled || $kept === [] || count($wide) < count($kept) || self::goesOn($stem, $all)) {
            return;
        }
        // The sides of whole notes one above the other are no stem.
        foreach ($kept as $head) {
            $head->stem = null;
        }
        $stem->heads = [];
    }

    /**
     * A stem stands at the right of its heads and goes up, or at their left and goes down; between two heads a step apart it
     * goes where more of it is.
     *
     * @param array<int, Head> $heads
     */
    private function goesUp(Stem $stem, array $heads): bool
    {
        $up = 0.0;
        $rows = [];
        $best = [0.0, 0.0];
        foreach ($heads as $head) {
            $side = $stem->x > $head->x ? 1 : 0;
            $up += ($side === 1 ? 1 : -1) * $head->sure;
            $best[$side] = max($best[$side], $head->sure);
            $rows[] = $head->y();
        }
        // What thickens in a beam is less of a head than the head at the other end.
        if (abs($best[1] - $best[0]) > self::SURER) {
            return $best[1] > $best[0];
        }
        if (count($rows) === 2 && abs($up) < 0.5 && max($rows) - min($rows) < Strip::SPACE) {
            return min($rows) - $stem->top > $stem->bottom - max($rows);
        }

        return $up > 0;
    }

    /**
     * Whether a stem goes on beyond the last head that stands at it.
     *
     * @param list<Head> $all
     */
    private static function goesOn(Stem $stem, array $all): bool
    {
        $x = $stem->heads[0]->x ?? 0.0;
        $rows = [];
        foreach ($all as $head) {
            if (abs($head->x - $x) < 8 && $head->y() > $stem->top - 9 && $head->y() < $stem->bottom + 9) {
                $rows[] = $head->y();
            }
        }

        return $rows !== [] && ($stem->up ? min($rows) - $stem->top : $stem->bottom - max($rows)) >= self::BEYOND;
    }

    /** On the wrong side of the stem, a step from one on the right side. */
    private function isSecond(Stem $stem, Head $head): bool
    {
        foreach ($stem->heads as $other) {
            if ($other->hollow === $head->hollow && abs($other->place - $head->place) === 1 && ($stem->x > $other->x) === $stem->up) {
                return true;
            }
        }

        return false;
    }

    /** @param non-empty-list<Head> $heads */
    private function add(array $heads, int $base, int $beams, ?Stem $stem): void
    {
        usort($heads, static fn (Head $a, Head $b): int => $a->place <=> $b->place);
        // A chord without stems is one.
        foreach ($stem === null ? $this->items : [] as $i => $item) {
            if ($item->stem === null && self::isOneChord($item, $heads)) {
                array_splice($this->items, $i, 1);
                $this->add([...$item->heads, ...$heads], $base, 0, null);

                return;
            }
        }
        $x = array_sum(array_map(static fn (Head $head): float => $head->x, $heads)) / count($heads);
        $sure = min(array_map(static fn (Head $head): float => $head->sure, $heads));
        $this->items[] = new Item($x, $this->strip->pageX[(int) $x] ?? 0.0, $heads, $base, 0, $beams, false, $sure, $stem);
    }

    /**
     * Whole notes one above the other, or side by side where they are a step apart.
     *
     * @param list<Head> $heads
     */
    private static function isOneChord(Item $item, array $heads): bool
    {
        foreach ($heads as $head) {
            foreach ($item->heads as $other) {
                $apart = abs($other->x - $head->x);
                if ($apart < 10 || abs($other->place - $head->place) === 1 && $apart < ($other->width + $head->width) / 2 + 5) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Whole notes close above one another look like a stem at their sides.
     *
     * @param list<Head> $heads
     */
    private static function isInStack(Head $head, array $heads): bool
    {
        foreach ($heads as $other) {
            if ($other !== $head && $other->hollow && $other->width >= self::WHOLE && abs($other->x - $head->x) < 8 && abs($other->place - $head->place) === 2) {
                return true;
            }
        }

        return false;
    }

    private function isOfNote(Blob $blob): bool
    {
        foreach ($this->heads as $head) {
            if ($head->x > $blob->left - 3 && $head->x < $blob->right + 3 && $head->y() > $blob->top - 6 && $head->y() < $blob->bottom + 6) {
                return true;
            }
        }
        foreach ($this->stems as $stem) {
            if ($stem->heads !== [] && $stem->x > $blob->left - 2 && $stem->x < $blob->right + 2 && $stem->top < $blob->bottom && $stem->bottom > $blob->top) {
                return true;
            }
        }

        return false;
    }

}

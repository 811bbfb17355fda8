<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads what stands on a staff: notes with their stems, beams, dots, accidentals and fingers, and rests. */
final class StaffReader
{
    /** Rows of the longest stroke of an accidental. */
    private const STROKE = 62;

    /** Columns that a flag takes beside its stem, with its hole. */
    private const FLAG = 24;

    /** Columns from what is before a note to the middle of its head. */
    private const CLOSE = 36;

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
        array_push($reader->items, ...$reader->restReader->items(fn (Blob $blob): bool => $reader->isBar($blob->x()) || $reader->isOfNote($blob) || $reader->isTie($blob)));
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
        $heads = Rings::placed($this->strip, array_values(array_filter(Heads::of($this->strip, $this->opening->end), $this->mayBe(...))));
        foreach (Stems::of($this->strip) as $stem) {
            if (! $this->isBar($stem->x) && $stem->x > $this->opening->end) {
                $this->stems[] = $stem;
            }
        }
        $heads = (new StemHeads($this->strip, $this->stems))->given($heads);
        foreach ($heads as $head) {
            if ($head->isNone || $head->hollow && ($this->isInFlag($head) || $head->stem === null && self::isBesideNote($head, $heads)) || ($head->stem === null && (! $head->hollow || ! $head->isWide() || (($head->tallLeft || $head->tallRight) && ! self::isInStack($head, $heads)) || $this->isOnStem($head)))) {
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
                if ($this->areKnown([...$heads, ...$more])) {
                    continue;
                }
                array_push($this->heads, ...$more);
                array_push($heads, ...$more);
                self::trustSeconds($heads);
                $beams = $half ? 0 : BeamCounter::count($this->strip, $stem);
                $this->add($heads, $half ? 2 * Item::QUARTER : Item::QUARTER >> $beams, $beams, $stem);
            }
        }
    }

    /**
     * Two heads a step apart hide a part of each other; both are seen.
     *
     * @param non-empty-list<Head> $heads
     */
    private static function trustSeconds(array $heads): void
    {
        $places = array_column($heads, 'place');
        foreach ($heads as $head) {
            if (! $head->hollow && $head->doubt === 'place' && array_intersect([$head->place - 1, $head->place + 1], $places) !== []) {
                $head->doubt = null;
            }
        }
    }

    /**
     * What looks like a second stem at a hollow chord has the same heads.
     *
     * @param list<Head> $heads
     */
    private function areKnown(array $heads): bool
    {
        foreach ($this->items as $item) {
            $same = array_filter($heads, static fn (Head $head): bool => array_filter($item->heads, static fn (Head $other): bool => $other->place === $head->place && abs($other->x - $head->x) < 8) !== []);
            if (count($same) === count($heads)) {
                return true;
            }
        }

        return false;
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

    private function mayBe(Head $head): bool
    {
        return ! $this->isOfSign($head) && (! $head->hollow || ! $this->endsInDot($head) && ! $this->isNearBar($head));
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

    /** A head stands on no other note's stem: what looks hollow there is between a stem and its flag. */
    private function isInFlag(Head $head): bool
    {
        foreach ($this->stems as $stem) {
            $isNear = $stem !== $head->stem && $head->x > $stem->x - 2 && $head->x < $stem->x + self::FLAG && $head->y() > $stem->top - 2 && $head->y() < $stem->bottom + 2;
            $filled = array_filter($isNear ? $stem->heads : [], static fn (Head $other): bool => ! $other->hollow && abs($other->y() - $head->y()) > 12);
            if ($filled !== [] && count($filled) === count($stem->heads)) {
                return true;
            }
        }

        return false;
    }

    /**
     * Nothing follows a whole note as closely: what looks like one is the hole of an accidental, or under a tie.
     *
     * @param list<Head> $heads
     */
    private static function isBesideNote(Head $head, array $heads): bool
    {
        foreach ($heads as $other) {
            if ($other->stem !== null && $other->place === $head->place && $other->x - $head->x > 12 && $other->x - $head->x < self::CLOSE) {
                return true;
            }
        }

        return false;
    }

    /** The bow of a tie that runs into a line looks like a block of a rest. */
    private function isTie(Blob $blob): bool
    {
        $isBetween = fn (Head $left, Head $right): bool => $left->place === $right->place
            && abs($blob->left - $left->x - $left->width / 2) < self::CLOSE / 2 && abs($right->x - $right->width / 2 - $blob->right) < self::CLOSE / 2
            && abs($blob->y() - $left->y()) > 3 && abs($blob->y() - $left->y()) < 26;
        foreach ($blob->height() < 14 ? $this->heads : [] as $left) {
            foreach ($this->heads as $right) {
                if ($isBetween($left, $right)) {
                    return true;
                }
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
            if ($other !== $head && $other->hollow && $other->isWide() && abs($other->x - $head->x) < 8 && abs($other->place - $head->place) === 2) {
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

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Puts the notes of a staff together: heads, the stems they stand at, the beams of these. */
final class Notes
{
    /** Columns that a flag takes beside its stem, with its hole. */
    private const FLAG = 24;

    /** Columns from what is before a note to the middle of its head. */
    public const CLOSE = 36;

    /** @var list<Head> */
    public array $heads = [];

    /** @var list<Stem> */
    public array $stems = [];

    /** @var list<Item> */
    public array $items = [];

    /**
     * @param list<Blob>    $blobs
     * @param list<Blob>    $signs what looks like a rest or an accidental and nothing else
     * @param list<BarLine> $bars
     */
    private function __construct(private readonly Strip $strip, private readonly array $blobs, private readonly array $signs, private readonly array $bars, private readonly Opening $opening, private readonly int $top, private readonly int $bottom) {}

    /**
     * @param list<Blob>    $blobs
     * @param list<Blob>    $signs likewise
     * @param list<BarLine> $bars
     * @param int           $top    rows above are of the staff that stands there
     * @param int           $bottom likewise below
     */
    public static function of(Strip $strip, array $blobs, array $signs, array $bars, Opening $opening, int $top, int $bottom): self
    {
        $notes = new self($strip, $blobs, $signs, $bars, $opening, $top, $bottom);
        $notes->read();

        return $notes;
    }

    private function read(): void
    {
        $heads = Rings::placed($this->strip, Heads::of($this->strip, $this->opening->end, $this->mayBe(...)));
        foreach (Stems::of($this->strip) as $stem) {
            if (! $this->isBar($stem->x) && $stem->x > $this->opening->end) {
                $this->stems[] = $stem;
            }
        }
        $standing = new StemHeads($this->strip, $this->stems);
        $heads = $standing->given($heads);
        $this->stems = $standing->stems;
        foreach ($heads as $head) {
            if ($head->isNone || $head->hollow && $this->isInFlag($head) || $head->stem === null && ! $this->isWhole($head, $heads)) {
                continue;
            }
            $this->heads[] = $head;
            if ($head->stem === null) {
                $this->add([$head], 4 * Item::QUARTER, 0, null);
            }
        }
        foreach ($this->items as $item) {
            foreach (Rings::beside($this->strip, $item->heads, null, $this->heads) as $head) {
                $this->heads[] = $head;
                $this->add([$head], 4 * Item::QUARTER, 0, null);
            }
        }
        foreach ($this->stems as $stem) {
            $heads = array_values(array_filter($stem->heads, fn (Head $head): bool => in_array($head, $this->heads, true)));
            if ($heads !== []) {
                $hollow = count(array_filter($heads, static fn (Head $head): bool => $head->hollow));
                $half = 2 * $hollow > count($heads);
                $more = $half ? Rings::beside($this->strip, $heads, $stem, $this->heads) : [];
                array_push($this->heads, ...$more);
                array_push($heads, ...$more);
                self::trustSeconds($heads);
                $beams = $half ? 0 : BeamCounter::count($this->strip, $stem);
                $this->add($heads, $half ? 2 * Item::QUARTER : Item::QUARTER >> $beams, $beams, $stem);
            }
        }
        $this->mergeChords();
    }

    public function isBar(float $x): bool
    {
        foreach ($this->bars as $bar) {
            $around = $bar->thick > 0 ? 12 : 4;
            if ($x >= $bar->left - $around && $x <= $bar->right + $around) {
                return true;
            }
        }

        return false;
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

    /** Two stems that go towards each other's heads are the sides of one hollow chord. */
    private function mergeChords(): void
    {
        foreach ($this->items as $item) {
            foreach ($this->items as $other) {
                if ($item->stem?->up === false && $other->stem?->up === true && $item->base === 2 * Item::QUARTER && $item->base === $other->base && abs($item->x - $other->x) <= 8 && $item->heads !== [] && $other->heads !== [] && $item->heads[0]->place > $other->heads[0]->place) {
                    $this->items = array_values(array_filter($this->items, static fn (Item $one): bool => $one !== $item && $one !== $other));
                    $this->add([...$other->heads, ...$item->heads], $item->base, 0, $item->stem->height() > $other->stem->height() ? $item->stem : $other->stem);

                    $this->mergeChords();

                    return;
                }
            }
        }
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

    /** What thickens in a rest or in a sharp is no head, nor is the paper between a sign and what stands after it. */
    private function isOfSign(Head $head): bool
    {
        foreach ($this->signs as $blob) {
            $left = $head->hollow ? $head->x - $head->width / 2 : $head->x - 4;
            if ($head->x > $blob->left - 4 && $left < $blob->right && $head->y() > $blob->top - 4 && $head->y() < $blob->bottom + 4) {
                return true;
            }
        }

        return false;
    }

    /**
     * Without a stem there are whole notes alone: hollow, wide, within the staff's own part of the page, and nothing of another sign.
     *
     * @param list<Head> $heads
     */
    private function isWhole(Head $head, array $heads): bool
    {
        $hasSides = ($head->tallLeft || $head->tallRight) && ! self::isInStack($head, $heads);

        return $head->hollow && $head->isWide() && ! $hasSides && $head->y() >= $this->top && $head->y() <= $this->bottom
            && ! self::isBesideNote($head, $heads) && ! $this->isOnStem($head);
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
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Says which heads stand at which stem, and which way the stem goes. */
final class StemHeads
{
    /** Columns between two heads on either side of a stem. */
    private const BESIDE = 16.8;

    private const BESIDE_HOLLOW = 12.0;

    /** Columns between two heads of one stack at most. */
    private const STACKED = 5;

    /** Rows that a stem goes on beyond its last head, at least. */
    private const BEYOND = 20;

    /** Rows between the heads of one end. */
    private const NEAR = 24;

    /** Rows of a stem without beams at least, where a voice has it to itself, and from its end to its head at most. */
    private const WHOLE = 44;

    private const BEGINS = 14;

    /** How much surer the heads at one end of a stem are than those at the other, where those are none. */
    private const SURER = 0.05;

    /** @param list<Stem> $stems of a staff; where two run together they are two, once heads are given */
    public function __construct(private readonly Strip $strip, public array $stems) {}

    /**
     * @param  list<Head> $heads
     * @return list<Head> with those that are seen only beside a stem; what stands at one knows it
     */
    public function given(array $heads): array
    {
        foreach ($heads as $head) {
            $this->attach($head);
        }
        foreach ($heads as $head) {
            $this->attachBeside($head);
        }
        foreach ($this->stems as $stem) {
            if ($stem->heads === [] && $stem->height() >= self::WHOLE) {
                self::takeBack($stem, $heads);
            }
        }
        $this->stems = array_merge(...array_map(self::parted(...), $this->stems));
        foreach ($this->stems as $stem) {
            $this->settle($stem, $heads);
            $seconds = Seconds::of($this->strip, $stem, array_values(array_filter($heads, static fn (Head $head): bool => $head->stem !== null && $head->stem !== $stem && abs($head->stem->x - $stem->x) < 1)));
            self::takeOver($seconds, $heads);
            array_push($heads, ...$seconds);
        }
        foreach ($this->stems as $stem) {
            self::joinStacked($stem, $heads);
        }

        return $heads;
    }

    /**
     * A filled head a third from one at a stem, right above it or below, stands at it too: where the picture bends, the heads hide
     * the stem beside them.
     *
     * @param list<Head> $heads
     */
    private static function joinStacked(Stem $stem, array $heads): void
    {
        for ($i = 0; isset($stem->heads[$i]); $i++) {
            $of = $stem->heads[$i];
            foreach ($of->hollow ? [] : $heads as $head) {
                if ($head->stem === null && ! $head->hollow && ! $head->isNone && abs($head->place - $of->place) === 2 && abs($head->x - $of->x) <= self::STACKED) {
                    $head->stem = $stem;
                    $stem->heads[] = $head;
                }
            }
        }
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

    /**
     * A stem that begins at the last head of a chord is of another voice, and so is that head.
     *
     * @param list<Head> $heads
     */
    private static function takeBack(Stem $stem, array $heads): void
    {
        foreach ($heads as $head) {
            $own = $head->stem;
            $chord = $own->heads ?? [];
            $up = $stem->x > $head->x;
            $begins = $up ? $stem->bottom - $head->y() : $head->y() - $stem->top;
            if ($own === null || count($chord) < 2 || ! self::touches($stem, $head) || abs($begins) > self::BEGINS) {
                continue;
            }
            $rows = array_map(static fn (Head $one): int => $one->y(), $chord);
            if ($head->y() === ($up ? min($rows) : max($rows)) && ($own->x > $head->x) !== $up) {
                $own->heads = array_values(array_filter($chord, static fn (Head $one): bool => $one !== $head));
                $head->stem = $stem;
                $stem->heads[] = $head;

                return;
            }
        }
    }

    /**
     * A stroke that goes on beyond its heads both ways is two stems: one up from the heads at its left, one down from those
     * at its right that are below them.
     *
     * @return non-empty-list<Stem>
     */
    private static function parted(Stem $stem): array
    {
        $left = array_values(array_filter($stem->heads, static fn (Head $head): bool => $head->x < $stem->x));
        $lowest = min([...array_column($left, 'place'), ReadHead::HIGHEST]);
        $right = array_values(array_filter($stem->heads, static fn (Head $head): bool => $head->x > $stem->x && $head->place < $lowest));
        $left = array_values(array_filter($stem->heads, static fn (Head $head): bool => ! in_array($head, $right, true)));
        $rows = array_map(static fn (Head $head): int => $head->y(), $stem->heads);
        if ($left === [] || $right === [] || $rows === [] || min($rows) - $stem->top < self::BEYOND || $stem->bottom - max($rows) < self::BEYOND) {
            return [$stem];
        }
        $middle = intdiv(min($rows) + max($rows), 2);
        $parts = [new Stem($stem->x, $stem->top, $middle, $stem->width), new Stem($stem->x, $middle, $stem->bottom, $stem->width)];
        foreach ([$left, $right] as $i => $heads) {
            $parts[$i]->heads = $heads;
            foreach ($heads as $head) {
                $head->stem = $parts[$i];
            }
        }

        return $parts;
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
        $wide = array_filter($kept, static fn (Head $head): bool => $head->isWide());
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
        $surest = array_reduce($heads, static fn (float $most, Head $head): float => max($most, $head->sure), 0.0);
        foreach ($heads as $head) {
            if ($head->sure < $surest - 2 * self::SURER) {
                continue;
            }
            $side = $stem->x > $head->x ? 1 : 0;
            $up += ($side === 1 ? 1 : -1) * $head->sure;
            $best[$side] = max($best[$side], $head->sure);
            $rows[] = $head->y();
        }
        if ($rows === []) {
            return true;
        }
        [$top, $bottom] = [min($rows), max($rows)];
        [$above, $below] = [$top - $stem->top >= self::BEYOND, $stem->bottom - $bottom >= self::BEYOND];
        if (min($best) > 0 && $above !== $below) {
            return $above;
        }
        // Heads at both ends: the fewer of them are no heads.
        $high = count(array_filter($rows, static fn (int $row): bool => $row - $top <= self::NEAR));
        $low = count(array_filter($rows, static fn (int $row): bool => $bottom - $row <= self::NEAR));
        if (! $above && ! $below && $high + $low === count($rows) && $high !== $low) {
            return $low > $high;
        }
        // What thickens in a beam is less of a head than the head at the other end.
        if (abs($best[1] - $best[0]) > self::SURER) {
            return $best[1] > $best[0];
        }
        if (count($rows) === 2 && abs($up) < 0.5 && $bottom - $top < Strip::SPACE) {
            return $top - $stem->top > $stem->bottom - $bottom;
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
}

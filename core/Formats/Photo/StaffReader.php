<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads what stands on a staff: notes with their stems, beams, dots, accidentals and fingers, and rests. */
final class StaffReader
{
    /** Rows of the longest stroke of an accidental. */
    private const STROKE = 62;

    /** Rows of a stroke of tenuto at most, and columns from its middle to that of its note. */
    private const THIN = 6;

    private const BESIDE = 6;

    /** @var list<Item> */
    private array $items;

    private readonly Notes $notes;

    /** @var list<Blob> */
    private array $blobs;

    private readonly RestReader $restReader;

    private readonly AccidentalReader $accidentals;

    /**
     * @param list<Blob>    $blobs
     * @param list<BarLine> $bars
     */
    private function __construct(private readonly Strip $strip, array $blobs, array $bars, Opening $opening, int $top, int $bottom, DynamicReader $dynamics)
    {
        $this->blobs = RestReader::whole(Accidentals::whole($blobs, $opening->end, $strip->width()));
        $this->restReader = new RestReader($strip, $this->blobs, $opening->end);
        $this->accidentals = new AccidentalReader($strip, $this->blobs, $opening->end);
        $signs = [...$this->restReader->sure(), ...$this->accidentals->sure(), ...$dynamics->ink(), ...Letters::among($this->blobs), ...MetronomeNote::among($this->blobs)];
        $this->notes = Notes::of($strip, $this->blobs, $signs, $bars, $opening, $top, $bottom);
        $this->items = $this->notes->items;
    }

    /**
     * @param  list<Blob>    $blobs
     * @param  list<BarLine> $bars
     * @param  int           $top    rows above are of the staff that stands there
     * @param  int           $bottom likewise below
     * @return list<Item>    from left to right
     */
    public static function read(Strip $strip, array $blobs, array $bars, Opening $opening, int $top, int $bottom, DynamicReader $dynamics): array
    {
        $reader = new self($strip, $blobs, $bars, $opening, $top, $bottom, $dynamics);
        $rests = $reader->restReader->items(fn (Blob $blob): bool => $reader->notes->isBar($blob->x()) || $reader->isOfNote($blob) || $reader->isTie($blob) || $reader->isTenuto($blob));
        array_push($reader->items, ...array_filter($rests, static fn (Item $rest): bool => $rest->aside === null));
        usort($reader->items, static fn (Item $a, Item $b): int => $a->x <=> $b->x);
        $reader->joinBeams();
        (new DotReader($reader->blobs, $bars))->give($reader->items);
        $reader->accidentals->give($reader->notes->heads);
        $reader->doubtStrokes();
        (new FingerReader($reader->blobs, $top, $bottom))->give($reader->items);
        (new TieReader($strip))->give($reader->items);
        (new MarkReader($reader->blobs, $top, $bottom))->give($reader->items);
        $dynamics->give($reader->items);

        array_push($reader->items, ...array_filter($rests, static fn (Item $rest): bool => $rest->aside !== null));

        return $reader->items;
    }

    /** A beam goes on to the next stem that goes the same way: what stands between is of another voice. */
    private function joinBeams(): void
    {
        $joined = [];
        foreach ($this->items as $i => $item) {
            if ($item->stem === null) {
                continue;
            }
            $next = null;
            for ($k = $i + 1; $next === null && isset($this->items[$k]); $k++) {
                $next = $this->items[$k]->stem?->up === $item->stem->up ? $this->items[$k]->stem : null;
            }
            $item->beamedOn = $item->beams > 0 && $next !== null && BeamCounter::joins($this->strip, $item->stem, $next);
            $item->flag = $item->beamedOn || in_array($item->stem, $joined, true) ? null : BeamCounter::flag($this->strip, $item->stem);
            if ($item->beamedOn) {
                $joined[] = $next;
            }
        }
    }

    /** Right before a note an upright stroke that is of nothing else is of an accidental that was not known. */
    private function doubtStrokes(): void
    {
        foreach ($this->notes->stems as $stem) {
            if ($stem->heads !== [] || $stem->height() > self::STROKE || $this->isFlag($stem)) {
                continue;
            }
            $near = [];
            foreach ($this->notes->heads as $head) {
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

    /** A thin block right above a head or below it is a stroke of tenuto, and no rest. */
    private function isTenuto(Blob $blob): bool
    {
        foreach ($blob->height() <= self::THIN ? $this->notes->heads : [] as $head) {
            $apart = abs($head->y() - $blob->y());
            if (abs($head->x - $blob->x()) <= self::BESIDE && $apart >= Strip::SPACE / 2 && $apart <= 2 * Strip::SPACE) {
                return true;
            }
        }

        return false;
    }

    private function isFlag(Stem $stroke): bool
    {
        foreach ($this->notes->stems as $stem) {
            if ($stem->heads !== [] && $stroke->x > $stem->x && $stroke->x - $stem->x < 26 && $stroke->top < $stem->bottom && $stroke->bottom > $stem->top) {
                return true;
            }
        }

        return false;
    }

    /** The bow of a tie that runs into a line looks like a block of a rest. */
    private function isTie(Blob $blob): bool
    {
        $isBetween = fn (Head $left, Head $right): bool => $left->place === $right->place
            && abs($blob->left - $left->x - $left->width / 2) < Notes::CLOSE / 2 && abs($right->x - $right->width / 2 - $blob->right) < Notes::CLOSE / 2
            && abs($blob->y() - $left->y()) > 3 && abs($blob->y() - $left->y()) < 26;
        foreach ($blob->height() < 14 ? $this->notes->heads : [] as $left) {
            foreach ($this->notes->heads as $right) {
                if ($isBetween($left, $right)) {
                    return true;
                }
            }
        }

        return false;
    }

    private function isOfNote(Blob $blob): bool
    {
        foreach ($this->notes->heads as $head) {
            if ($head->x > $blob->left - 3 && $head->x < $blob->right + 3 && $head->y() > $blob->top - 6 && $head->y() < $blob->bottom + 6) {
                return true;
            }
        }
        foreach ($this->notes->stems as $stem) {
            if ($stem->heads !== [] && $stem->x > $blob->left - 2 && $stem->x < $blob->right + 2 && $stem->top < $blob->bottom && $stem->bottom > $blob->top) {
                return true;
            }
        }

        return false;
    }

}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Mark;

/** A note, a chord or a rest of a staff while it is read. */
final class Item
{
    /** A quarter note. */
    public const QUARTER = 48;

    public int $onset = 0;

    /** 0, or 1 for the lower of two on one staff. */
    public int $voice = 0;

    /** The voice of a rest outside its staff, which only two voices have. */
    public ?int $aside = null;

    /** A beam goes on to the next one. */
    public bool $beamedOn = false;

    /** Rows of ink beside the end of a stem without a beam to the next: a flag is long, a number that touches it is not. */
    public ?int $flag = null;

    /** @var list<Mark> */
    public array $marks = [];

    /** The syllable below it; one that is not the last of its word ends with a hyphen. */
    public string $lyric = '';

    /** How loud it is from here on, as printed below: mf. */
    public string $dynamic = '';

    /** @var list<LineEnd> slurs and hairpins that begin or end at it */
    public array $lines = [];

    /** Another one that stands before it. */
    public ?Clef $clef = null;

    /** @var array{int, int}|null its base and dots as they were seen, where others come to the bar */
    public ?array $seen = null;

    /** A 3 stands above or below it, which may be of a triplet. */
    public bool $hasThree = false;

    /**
     * @param list<Head> $heads none for a rest
     * @param int        $beams likewise
     */
    public function __construct(public readonly float $x, public readonly float $pageX, public readonly array $heads, public int $base, public int $dots, public int $beams, public readonly bool $fillsBar = false, public readonly float $sure = 1.0, public readonly ?Stem $stem = null) {}

    /**
     * The note that stands at a column.
     *
     * @param  list<self> $items
     * @param  int        $reach columns between the two, which are fewer
     * @return int|null   which of them; null where none stands so near
     */
    public static function nearest(array $items, float $x, int $reach): ?int
    {
        $best = null;
        $nearest = (float) $reach;
        foreach ($items as $i => $item) {
            if (! $item->isRest() && abs($item->x - $x) < $nearest) {
                [$best, $nearest] = [$i, abs($item->x - $x)];
            }
        }

        return $best;
    }

    /**
     * What a note takes up, with its stem.
     *
     * @return array{int, int} the first row and the last; the middle of the outermost head where no stem goes beyond it
     */
    public function rows(): array
    {
        $rows = array_map(static fn (Head $head): int => $head->y(), $this->heads);
        if ($this->stem !== null) {
            $rows[] = $this->stem->up === true ? $this->stem->top : $this->stem->bottom;
        }

        return [min([Strip::HEIGHT, ...$rows]), max([0, ...$rows])];
    }

    public function ticks(): int
    {
        return ReadSign::length($this->base, $this->dots);
    }

    public function isRest(): bool
    {
        return $this->heads === [];
    }
}

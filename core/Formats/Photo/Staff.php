<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/** A staff of the page, cut out, with what is known of it so far. */
final class Staff
{
    /** @var list<BarLine> */
    public array $bars = [];

    /** @var list<Item> */
    public array $items = [];

    /** @var list<Blob> the ink of what says how loud it is, here and on the staff above, which is no note and no word */
    public array $loud = [];

    /** To this note a slur or a tie comes from the line before. */
    public ?Item $slurComes = null;

    /** From this one it goes on to the next line. */
    public ?Item $slurGoes = null;

    /** @var list<array{float, Clef}> the clefs that stand within the line, by where they are in the picture */
    public array $clefs = [];

    /** @param list<Blob> $blobs */
    public function __construct(public Strip $strip, public array $blobs, public Opening $opening) {}

    public static function of(Picture $picture, StaffPath $path, bool $first): self
    {
        $strip = StripCutter::cut($picture, $path);
        $blobs = self::blobs($strip);

        return new self($strip, $blobs, OpeningReader::read($strip, $blobs, $first));
    }

    /** Looked at a second time; what stands at its left is known. */
    public function again(Picture $picture): self
    {
        $strip = StripCutter::again($picture, $this->strip);

        return new self($strip, self::blobs($strip), $this->opening);
    }

    /** @return list<Blob> */
    private static function blobs(Strip $strip): array
    {
        return Blobs::glued(Blobs::of($strip->bareRows), $strip->line);
    }

    /**
     * Takes out what has been read and is no note.
     *
     * @param list<array{int, int, int, int}> $boxes first column, one after the last, first row, one after the last
     */
    public function takeOut(array $boxes): void
    {
        if ($boxes !== []) {
            $this->strip = $this->strip->emptied($boxes);
            $this->blobs = self::blobs($this->strip);
        }
    }

    /** @return list<array{float, Clef}> the clefs that stand between two places of the picture */
    public function clefsBetween(float $from, float $to): array
    {
        return array_values(array_filter($this->clefs, static fn (array $one): bool => $one[0] >= $from && $one[0] < $to));
    }

    /** The clef in force at a place of the picture. */
    public function clefAt(float $pageX): Clef
    {
        $before = $this->clefsBetween(-INF, $pageX);

        return $before === [] ? $this->opening->clef : $before[count($before) - 1][1];
    }

    /** @return list<Item> what stands between two places of the picture */
    public function between(float $from, float $to): array
    {
        return array_values(array_filter($this->items, static fn (Item $item): bool => $item->aside === null && $item->pageX >= $from && $item->pageX < $to));
    }

    /** @return list<Item> what is a rest there if two voices are */
    public function aside(float $from, float $to): array
    {
        return array_values(array_filter($this->items, static fn (Item $item): bool => $item->aside !== null && $item->pageX >= $from && $item->pageX < $to));
    }

    /** Pixels of its strip between its last line and the first of the staff below. */
    public function gapTo(self $below): float
    {
        [$own, $other] = [$this->strip->path, $below->strip->path];
        $x = ($own->from + $own->to()) / 2;

        return max(0.0, abs($other->middleAt($x) - $own->middleAt($x)) / $own->spaceAt($x) * Strip::SPACE - 4 * Strip::SPACE);
    }

    /** Whether a line goes on to the staff below. */
    public function isJoinedBelow(): bool
    {
        foreach (Stems::of($this->strip) as $stem) {
            if ($stem->top <= Strip::TOP + 10 && $stem->bottom >= Strip::BOTTOM + 3 * Strip::SPACE) {
                return true;
            }
        }

        return false;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Closure;

/** Reads a page from a scan or a photo of it. */
final readonly class PhotoReader
{
    /** @param Closure(PhotoStep, int, int): void|null $tell is told what is done, how much of it, and of how much; what it throws ends the reading */
    public function __construct(private ?Closure $tell = null, private ?WordReader $words = null) {}

    /**
     * @param Corners|null $corners of the part that is looked at
     *
     * @throws BadPhoto
     */
    public function read(string $bytes, ?Corners $corners = null): PhotoReading
    {
        $this->say(PhotoStep::Opening, 0, 1);
        [$staves, $picture] = $this->upright($bytes, $corners);
        $systems = System::of($staves);
        System::part($systems);
        $parts = Pieces::of($systems);
        $line = 0;
        $again = [];
        foreach ($parts as $part) {
            $fifths = PageBuilder::key($part);
            array_map(static fn (System $system) => $system->keepTo($fifths), $part);
            $seconds = [];
            foreach ($part as $system) {
                $this->say(PhotoStep::Lines, $line++, count($systems));
                $system->read($fifths);
                $seconds[] = $second = $system->again($picture);
                $second->readNotes($fifths);
            }
            $again[] = $seconds;
        }
        foreach ($parts as $p => $part) {
            for ($i = 1; isset($part[$i]); $i++) {
                $part[$i - 1]->endBefore($part[$i]);
                $again[$p][$i - 1]->endBefore($again[$p][$i]);
                foreach ($part[$i - 1]->staves as $n => $staff) {
                    isset($part[$i]->staves[$n]) && SlurReader::over($staff, $part[$i]->staves[$n]);
                }
            }
        }

        return new PhotoReading($this->page($parts, $again, $picture), $systems, $picture);
    }

    /**
     * @param non-empty-list<non-empty-list<System>> $parts by piece
     * @param non-empty-list<non-empty-list<System>> $again the same, looked at a second time
     */
    private function page(array $parts, array $again, Picture $picture): ReadPage
    {
        $pieces = [];
        $line = 0;
        $lines = array_sum(array_map(count(...), $parts));
        $above = 0.0;
        foreach ($parts as $p => $part) {
            $read = $this->words === null ? PageBuilder::of($part, $line) : $this->worded($part, $line, $lines, $picture, $above, $this->words);
            $pieces[] = Looks::together($read, PageBuilder::of($again[$p], $line, $read->time));
            $line += count($part);
            $last = $part[count($part) - 1]->staves;
            $strip = $last[count($last) - 1]->strip;
            $above = $strip->pageY(intdiv($strip->width(), 2), Strip::BOTTOM + 3 * Strip::SPACE);
        }

        return new ReadPage($pieces);
    }

    /**
     * @param non-empty-list<System> $part  of one piece
     * @param int                    $line  of the page that the first of them is
     * @param int                    $lines of the page
     * @param float                  $above the row below which its title stands
     */
    private function worded(array $part, int $line, int $lines, Picture $picture, float $above, WordReader $words): ReadPhoto
    {
        foreach ($part as $n => $system) {
            $this->say(PhotoStep::Words, $line + $n, $lines);
            $system->giveLyrics($words);
        }

        return PageBuilder::of($part, $line)->with(title: Titles::of($picture, $part[0], $above, $words), tempo: TempoWords::of($part[0], $words));
    }

    private function say(PhotoStep $step, int $done, int $of): void
    {
        if ($this->tell !== null) {
            ($this->tell)($step, $done, $of);
        }
    }

    /**
     * A page that lies on its side has its staves once it is turned; one that stands on its head has its clefs at the right.
     *
     * @return array{non-empty-list<Staff>, Picture}
     *
     * @throws BadPhoto
     */
    private function upright(string $bytes, ?Corners $corners): array
    {
        $image = Decoder::opened($bytes);
        $reason = null;
        // Who has drawn its corners has seen it upright.
        foreach ($corners === null ? [0, 1] : [0] as $turns) {
            try {
                $found = $this->staves($image, $turns, $corners);
                if ($corners === null && $found[0] !== [] && self::isOnItsHead($found[0])) {
                    $turned = $this->staves($image, $turns + 2, null);
                    $found = $turned[0] !== [] ? $turned : $found;
                }
                if ($found[0] !== []) {
                    return $found;
                }
            } catch (BadPhoto $refused) {
                $reason ??= $refused;
            }
        }

        throw PictureFaults::of($image) ?? $reason ?? BadPhoto::noStaves();
    }

    /** @return array{list<Staff>, Picture} from the top of the page */
    private function staves(\GdImage $image, int $turns, ?Corners $corners): array
    {
        $picture = Decoder::picture($image, $turns);
        if ($corners !== null) {
            $picture = $corners->cut($picture);
        }
        $this->say(PhotoStep::Staves, 0, 1);
        $paths = StaffFinder::find($picture);
        $staves = [];
        foreach ($paths as $i => $path) {
            $this->say(PhotoStep::Staves, $i, count($paths));
            $staves[] = Staff::of($picture, $path, $i < 2);
        }

        return [$staves, $picture];
    }

    /** @param non-empty-list<Staff> $staves */
    private static function isOnItsHead(array $staves): bool
    {
        [$left, $right] = [0, 0];
        foreach ($staves as $staff) {
            [$atLeft, $atRight] = $staff->strip->inkAtEnds();
            $left += $atLeft;
            $right += $atRight;
        }

        return $right > 1.2 * $left;
    }
}

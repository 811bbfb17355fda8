<?php

declare(strict_types=1);

namespace Tests\Photo;

use Closure;
use Nasturtium\Core\Formats\Photo\BarLine;
use Nasturtium\Core\Formats\Photo\Blob;
use Nasturtium\Core\Formats\Photo\Blobs;
use Nasturtium\Core\Formats\Photo\DynamicReader;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\Opening;
use Nasturtium\Core\Formats\Photo\Shape;
use Nasturtium\Core\Formats\Photo\StaffPath;
use Nasturtium\Core\Formats\Photo\StaffReader;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Score\Clef;

/** Draws a straight staff with signs on it, pixel by pixel, as it comes out of a picture. */
final class DrawnStrip
{
    /** @var list<string> by row */
    private array $rows;

    public function __construct(private readonly int $width = 400, private readonly int $line = 2)
    {
        $this->rows = array_fill(0, Strip::HEIGHT, str_repeat("\0", $width));
        for ($i = 0; $i < 5; $i++) {
            $this->box(0, Strip::TOP + $i * Strip::SPACE, $width, $line);
        }
    }

    public function box(int $x, int $y, int $width, int $height): self
    {
        for ($row = $y; $row < $y + $height; $row++) {
            $this->ink($x, $row, $width);
        }

        return $this;
    }

    public function head(int $x, int $place, bool $hollow = false): self
    {
        $y = Strip::row($place);
        for ($dy = -7; $dy <= 7; $dy++) {
            $half = 10.5 * sqrt(max(0.0, 1 - ($dy / 7.4) ** 2));
            $lean = -0.4 * $dy;
            $this->ink((int) round($x + $lean - $half), $y + $dy, (int) round(2 * $half));
        }
        for ($dy = -4; $hollow && $dy <= 4; $dy++) {
            $half = 6.2 * sqrt(max(0.0, 1 - ($dy / 4.6) ** 2));
            $this->paper((int) round($x - 0.9 * $dy - $half), $y + $dy, (int) round(2 * $half));
        }
        if ($hollow && $place % 2 === 0) {
            $this->box($x - 11, $y, 22, $this->line);
        }

        return $this->ledgers($x, $place);
    }

    public function whole(int $x, int $place): self
    {
        $y = Strip::row($place);
        for ($dy = -7; $dy <= 7; $dy++) {
            $half = 14.0 * sqrt(max(0.0, 1 - ($dy / 7.4) ** 2));
            $this->ink((int) round($x - $half), $y + $dy, (int) round(2 * $half));
        }
        for ($dy = -5; $dy <= 5; $dy++) {
            $half = 7.0 * sqrt(max(0.0, 1 - ($dy / 5.4) ** 2));
            $this->paper((int) round($x - $half), $y + $dy, (int) round(2 * $half));
        }
        if ($place % 2 === 0) {
            $this->box($x - 14, $y, 28, $this->line);
        }

        return $this->ledgers($x, $place);
    }

    public function ledgers(int $x, int $place): self
    {
        for ($at = -2; $at >= $place; $at -= 2) {
            $this->box($x - 17, Strip::row($at), 34, $this->line);
        }
        for ($at = 10; $at <= $place; $at += 2) {
            $this->box($x - 17, Strip::row($at), 34, $this->line);
        }

        return $this;
    }

    /** From the outermost of the heads, so many spaces long. */
    public function stem(int $x, int $place, bool $up, float $spaces = 3.5): self
    {
        $length = (int) ($spaces * Strip::SPACE);

        return $up ? $this->box($x + 9, Strip::row($place) - $length, 2, $length - 2) : $this->box($x - 10, Strip::row($place) + 2, 2, $length);
    }

    /** Between the free ends of two stems, the n-th from there. */
    public function beam(int $from, int $to, int $place, bool $up, int $nth = 0): self
    {
        $end = Strip::row($place) + ($up ? -56 + 12 * $nth : 52 - 12 * $nth);

        return $this->box($from + ($up ? 9 : -10), $end, $to - $from + 2, 8);
    }

    public function dot(int $x, int $place): self
    {
        $y = Strip::row($place);
        foreach ([-3 => 4, -2 => 6, -1 => 7, 0 => 7, 1 => 6, 2 => 4] as $dy => $width) {
            $this->ink($x - intdiv($width, 2), $y + $dy, $width);
        }

        return $this;
    }

    /** A thin line from one column to another, whose middle lies so many rows off: above where that is negative. */
    public function curve(int $from, int $to, int $row, int $bend, int $fall = 0): self
    {
        for ($x = $from; $x <= $to; $x++) {
            $share = ($x - $from) / max(1, $to - $from);
            $this->box($x, (int) round($row + $fall * $share + 4 * $bend * $share * (1 - $share)), 1, 3);
        }

        return $this;
    }

    /** Two lines that meet at the left or at the right, so many rows apart at the other side. */
    public function hairpin(int $from, int $to, int $middle, int $open, bool $grows): self
    {
        $half = intdiv($open, 2);

        return $grows ? $this->curve($from, $to, $middle, 0, -$half)->curve($from, $to, $middle, 0, $half) : $this->curve($from, $to, $middle - $half, 0, $half)->curve($from, $to, $middle + $half, 0, -$half);
    }

    public function barLine(int $x, int $width = 3): self
    {
        return $this->box($x, Strip::TOP, $width, 4 * Strip::SPACE + $this->line);
    }

    /** The print of a sign, as the table has it, with its middle at that row. */
    public function sign(Shape $shape, int $x, int $middle): self
    {
        [$width, $height, $picture] = self::print($shape);

        return $this->picture($x, $middle - intdiv($height, 2), $width, $height, $picture);
    }

    private function picture(int $x, int $top, int $width, int $height, string $picture): self
    {
        for ($row = 0; $row < $height; $row++) {
            for ($column = 0; $column < $width; $column++) {
                if ($picture[intdiv($row * Blob::SIDE, $height) * Blob::SIDE + intdiv($column * Blob::SIDE, $width)] === "\1") {
                    $this->ink($x + $column, $top + $row, 1);
                }
            }
        }

        return $this;
    }

    /** A time signature; of two numbers that are the same, as 4 over 4, where one is given. */
    public function time(int $x, int $number, ?int $unit = null): self
    {
        foreach ([[$number, Strip::TOP + 1], [$unit ?? $number, Strip::TOP + 33]] as [$of, $top]) {
            $this->picture($x, $top, 20, 30, self::number($of));
        }

        return $this;
    }

    /** A number in small digits, so many columns apart, that stand on a row. */
    public function digits(int $x, string $number, int $bottom, int $apart = 3): self
    {
        foreach (str_split($number) as $digit) {
            // One that hangs together though it is printed in so few pixels.
            [$width, $height, $picture] = self::printOf('digits.txt', $digit, static fn (int $width, int $height, string $picture): bool => $height === 20 && count(Blobs::of(str_split($picture, Blob::SIDE))) === 1);
            $this->picture($x, $bottom - $height, $width, $height, $picture);
            $x += $width + $apart;
        }

        return $this;
    }

    /** The sign that stands for a time, `C` or `C|`, so many rows below its place. */
    public function timeSign(int $x, string $sign, int $lower = 0): self
    {
        [$width, $height, $picture] = self::printOf('times.txt', $sign, static fn (int $width): bool => $width >= 26);

        return $this->picture($x, Strip::row(4) - intdiv($height, 2) + $lower, $width, $height, $picture);
    }

    private static function number(int $of): string
    {
        foreach (file(dirname(__DIR__, 2).'/core/Formats/Photo/numbers.txt', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            [$number, $hex] = explode(' ', $line);
            if ((int) $number === $of) {
                return Blob::unpacked($hex);
            }
        }

        return str_repeat("\0", Blob::SIDE * Blob::SIDE);
    }

    /** A small clef within a line, a bass one with its two dots. */
    public function clef(Clef $clef, int $x, bool $dotted = true): self
    {
        [$width, $height, $picture] = self::printOf('clefs.txt', $clef->value);
        $this->picture($x, Strip::TOP + ($clef->isLow() ? 2 : -4), $width, $height, $picture);

        return $clef->isLow() && $dotted ? $this->dot($x + $width + 6, 7)->dot($x + $width + 6, 5) : $this;
    }

    /** The print of a dynamic, letter beside letter or as one where they touch, with its middle at that row. */
    public function dynamic(string $written, int $x, int $middle, bool $touching = false): self
    {
        $letters = $touching ? [self::printOf('dynamics.txt', $written)] : array_map(static fn (string $letter): array => self::printOf('dynamics.txt', $letter), str_split($written));
        $left = $x - intdiv(array_sum(array_column($letters, 0)) + 2 * (count($letters) - 1), 2);
        foreach ($letters as [$width, $height, $picture]) {
            $this->picture($left, $middle - intdiv($height, 2), $width, $height, $picture);
            $left += $width + 2;
        }

        return $this;
    }

    /** @return array{int, int, string} width, height and picture of the first print of a sign */
    public static function print(Shape $shape): array
    {
        return self::printOf('shapes.txt', $shape->value);
    }

    /**
     * @param  (Closure(int, int, string): bool)|null $fits which of its prints
     * @return array{int, int, string}
     */
    private static function printOf(string $table, string $of, ?Closure $fits = null): array
    {
        foreach (file(dirname(__DIR__, 2)."/core/Formats/Photo/{$table}", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            [$name, $width, $height, $hex] = explode(' ', $line);
            $print = [(int) $width, (int) $height, Blob::unpacked($hex)];
            if ($name === $of && ($fits === null || $fits(...$print))) {
                return $print;
            }
        }

        return [0, 0, ''];
    }

    /** @return list<Blob> */
    public function blobs(): array
    {
        $strip = $this->strip();

        return Blobs::glued(Blobs::of($strip->bareRows), $strip->line);
    }

    public function strip(): Strip
    {
        $middle = array_fill(0, $this->width, 128.0);

        return new Strip(
            Strip::turned($this->rows, $this->width),
            array_map(floatval(...), range(0, $this->width - 1)),
            $this->line,
            new StaffPath(0, $middle, array_fill(0, $this->width, (float) Strip::SPACE)),
        );
    }

    /**
     * What is read on it after its first columns.
     *
     * @param  list<BarLine> $bars
     * @return list<Item>
     */
    public function items(array $bars = [], int $bottom = Strip::HEIGHT, int $next = Strip::HEIGHT): array
    {
        $strip = $this->strip();

        return StaffReader::read($strip, $this->blobs(), $bars, new Opening(Clef::Treble, 0, null, 20), 0, $bottom, new DynamicReader($this->blobs(), 20, $next));
    }

    private function ink(int $x, int $row, int $width): void
    {
        $this->put($x, $row, $width, "\1");
    }

    /** A row without ink, as where print is torn. */
    public function paper(int $x, int $row, int $width): self
    {
        $this->put($x, $row, $width, "\0");

        return $this;
    }

    private function put(int $x, int $row, int $width, string $what): void
    {
        $from = max(0, $x);
        $to = min($this->width, $x + $width);
        if ($row >= 0 && $row < Strip::HEIGHT && $to > $from) {
            $this->rows[$row] = substr_replace($this->rows[$row], str_repeat($what, $to - $from), $from, $to - $from);
        }
    }
}

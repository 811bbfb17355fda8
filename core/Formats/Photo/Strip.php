<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/**
 * A staff drawn straight, black or white: SPACE pixels from line to line, six spaces above and below. Everything after
 * this is counted in its pixels. One byte a pixel, "\1" for ink.
 */
final class Strip
{
    public const SPACE = 16;

    /** The row of the top line. */
    public const TOP = 6 * self::SPACE;

    public const BOTTOM = self::TOP + 4 * self::SPACE;

    public const HEIGHT = 16 * self::SPACE;

    /** @var list<string> by row, with the lines */
    public readonly array $rows;

    /** @var list<string> by column, without the lines */
    public readonly array $bareColumns;

    /** @var list<string> by row, without the lines */
    public readonly array $bareRows;

    /**
     * @param list<string> $columns with the lines
     * @param list<float>  $pageX   by column, where it is in the picture
     * @param int          $line    how thick a line is
     * @param list<string> $grey    columns of brightness, for whoever looks at it
     * @param array{float, float} $tilt how its strokes lean in the picture: columns a row, and how much more each column
     */
    public function __construct(public readonly array $columns, public readonly array $pageX, public readonly int $line, public readonly StaffPath $path, public readonly array $grey = [], public readonly array $tilt = [0.0, 0.0])
    {
        $this->rows = self::turned($columns, self::HEIGHT);
        $this->bareColumns = self::without($columns, $line);
        $this->bareRows = self::turned($this->bareColumns, self::HEIGHT);
    }

    public function width(): int
    {
        return count($this->columns);
    }

    /** The row of a place: 0 is the bottom line, 1 the space above it. */
    public static function row(int $place): int
    {
        return self::BOTTOM - intdiv(self::SPACE, 2) * $place;
    }

    /** Whether a row is so near to a line of the staff. */
    public static function isOnLine(int $row, int $within): bool
    {
        return $row >= self::TOP - $within && $row <= self::BOTTOM + $within && ($row - self::TOP + $within) % self::SPACE <= 2 * $within;
    }

    /** The column that is nearest to a place of the picture. */
    public function columnAt(float $pageX): int
    {
        [$low, $high] = [0, count($this->pageX) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->pageX[$middle] < $pageX) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    public function pageY(int $column, float $row): float
    {
        $x = $this->pageX[max(0, min(count($this->pageX) - 1, $column))] ?? 0.0;

        return $this->path->middleAt($x) + ($row - self::TOP - 2 * self::SPACE) * $this->path->spaceAt($x) / self::SPACE;
    }

    /**
     * The ink of the three spaces at each end of the lines, bar lines apart: a clef is at the left.
     *
     * @return array{int, int}
     */
    public function inkAtEnds(): array
    {
        $lined = array_keys(array_filter($this->columns, static fn (string $column): bool => substr_count($column[self::TOP].$column[self::TOP + self::SPACE].$column[self::TOP + 2 * self::SPACE].$column[self::TOP + 3 * self::SPACE].$column[self::BOTTOM], "\1") >= 4));
        $ends = [];
        foreach ([[$lined[0] ?? 0, 1], [$lined[count($lined) - 1] ?? 0, -1]] as [$from, $way]) {
            $ink = 0;
            for ($i = 4; $i < 4 + 3 * self::SPACE; $i++) {
                $column = substr($this->bareColumns[$from + $way * $i] ?? '', self::TOP - 24, 4 * self::SPACE + 48);
                $ink += substr_count(substr($column, 24, 4 * self::SPACE), "\1") >= 58 ? 0 : substr_count($column, "\1");
            }
            $ends[] = $ink;
        }

        return [$ends[0], $ends[1]];
    }

    /** How many pixels of a row are ink, from a column on; beyond the ends there is none. */
    public static function ink(string $row, int $from, int $count): int
    {
        $to = min(strlen($row), $from + $count);
        $from = max(0, $from);

        return $to > $from ? substr_count($row, "\1", $from, $to - $from) : 0;
    }

    /**
     * The same strip where signs that are read have been taken out, and the lines behind them are left.
     *
     * @param list<array{int, int, int, int}> $boxes first column, one after the last, first row, one after the last
     */
    public function emptied(array $boxes): self
    {
        $columns = $this->columns;
        foreach ($boxes as [$left, $right, $top, $bottom]) {
            for ($x = max(0, $left); $x < min($right, count($columns)); $x++) {
                $lines = $this->columns[$x] ^ ($this->bareColumns[$x] ?? '');
                $columns[$x] = substr_replace($columns[$x], substr($lines, $top, $bottom - $top), $top, $bottom - $top);
            }
        }

        return new self(array_values($columns), $this->pageX, $this->line, $this->path, $this->grey, $this->tilt);
    }

    /**
     * @param  list<string> $lines
     * @return list<string>
     */
    public static function turned(array $lines, int $length): array
    {
        $turned = [];
        for ($i = 0; $i < $length; $i++) {
            $line = '';
            foreach ($lines as $other) {
                $line .= $other[$i];
            }
            $turned[] = $line;
        }

        return $turned;
    }

    /**
     * What is no thicker than a line where a line is, is the line.
     *
     * @param  list<string> $columns
     * @return list<string>
     */
    private static function without(array $columns, int $line): array
    {
        $most = $line + ($line >= 3 ? 1 : 2);
        $bare = [];
        foreach ($columns as $column) {
            for ($i = 0; $i < 5; $i++) {
                $row = self::TOP + $i * self::SPACE;
                for ($d = 0; $d < 3; $d++) {
                    // The row itself, then the ones beside it.
                    $at = $column[$row] === "\1" ? $row : ($column[$row - $d] === "\1" ? $row - $d : ($column[$row + $d] === "\1" ? $row + $d : -1));
                    if ($at < 0) {
                        continue;
                    }
                    $from = $at;
                    while ($column[$from - 1] === "\1" && $at - $from <= $most) {
                        $from--;
                    }
                    $to = $from + strspn($column, "\1", $from, $most + 2);
                    if ($to - $from <= $most) {
                        for ($y = $from; $y < $to; $y++) {
                            $column[$y] = "\0";
                        }
                    }
                    break;
                }
            }
            $bare[] = $column;
        }

        return $bare;
    }
}

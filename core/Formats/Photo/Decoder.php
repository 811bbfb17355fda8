<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use GdImage;

/**
 * Opens a file as a picture whose staff lines stand about SPACE pixels apart: dimensions before contents, turned as the
 * camera says, shrunk before anything is looked at pixel by pixel.
 */
final class Decoder
{
    /** Pixels between two staff lines in what is read. */
    public const SPACE = 16;

    /** Pixels between two lines below which heads run together. */
    private const SMALLEST = 9.0;

    private const MOST_PIXELS = 40_000_000;

    private const MOST_SIDE = 12_000;

    /** How many columns the distance of the lines is taken from. */
    private const SAMPLED = 96;

    /**
     * Looks at what a file says of itself, and unpacks nothing.
     *
     * @throws BadPhoto when it is no picture, or larger than can be read
     */
    public static function held(string $bytes): void
    {
        $size = self::quietly(static fn (): array|false => getimagesizefromstring($bytes));
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true) || $size[0] < 1 || $size[1] < 1) {
            throw BadPhoto::noPicture();
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS || max($size[0], $size[1]) > self::MOST_SIDE) {
            throw BadPhoto::tooLarge($size[0], $size[1]);
        }
    }

    /** @throws BadPhoto */
    public static function opened(string $bytes): GdImage
    {
        self::held($bytes);
        $image = self::quietly(static fn (): GdImage|false => imagecreatefromstring($bytes));
        if ($image === false) {
            throw BadPhoto::noPicture();
        }
        $degrees = Orientation::degrees($bytes);
        if ($degrees !== 0) {
            $image = self::turned($image, $degrees);
        }

        return $image;
    }

    /**
     * What a broken file makes the library complain of is said in our words.
     *
     * @template T
     *
     * @param  callable(): T $open
     * @return T
     */
    private static function quietly(callable $open): mixed
    {
        set_error_handler(static fn (): bool => true);
        try {
            return $open();
        } finally {
            restore_error_handler();
        }
    }

    /**
     * @param int $turns quarter turns, clockwise
     *
     * @throws BadPhoto
     */
    public static function picture(GdImage $image, int $turns = 0): Picture
    {
        if ($turns % 4 !== 0) {
            $image = self::turned($image, 90 * ($turns % 4));
        }
        $space = self::space($image);
        if ($space < self::SMALLEST) {
            throw BadPhoto::tooSmall($space);
        }
        $scale = self::SPACE / $space;
        if (abs($scale - 1) > 0.06) {
            $image = self::scaled($image, $scale);
        } else {
            $scale = 1.0;
        }

        return new Picture(self::columns($image), imagesy($image), $scale);
    }

    /** @param int $degrees clockwise */
    private static function turned(GdImage $image, int $degrees): GdImage
    {
        $turned = imagerotate($image, -$degrees, 0);

        return $turned === false ? throw BadPhoto::noPicture() : $turned;
    }

    private static function scaled(GdImage $image, float $scale): GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $to = imagecreatetruecolor(max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale)));
        if ($to === false) {
            throw BadPhoto::noPicture();
        }
        imagefill($to, 0, 0, (int) imagecolorallocate($to, 255, 255, 255));
        imagecopyresampled($to, $image, 0, 0, 0, 0, imagesx($to), imagesy($to), $width, $height);

        return $to;
    }

    /**
     * The commonest distance from one line to the next, in pixels: a black run and the white one after it, over sampled
     * columns.
     *
     * @throws BadPhoto
     */
    private static function space(GdImage $image): float
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $votes = [];
        for ($i = 0; $i < self::SAMPLED; $i++) {
            $x = (int) (($i + 0.5) * $width / self::SAMPLED);
            foreach (self::distances(self::column($image, $x, $height)) as $distance => $count) {
                $votes[$distance] = ($votes[$distance] ?? 0) + $count;
            }
        }
        [$best, $most] = [0, 0.0];
        foreach (array_keys($votes) as $distance) {
            // Far apart is rarer on a page, and near is dust.
            $around = (($votes[$distance - 1] ?? 0) + $votes[$distance] + ($votes[$distance + 1] ?? 0)) * sqrt($distance);
            if ($distance >= 5 && $around > $most) {
                [$best, $most] = [$distance, $around];
            }
        }
        if ($best === 0) {
            throw BadPhoto::noStaves();
        }
        [$sum, $weight] = [0, 0];
        for ($distance = $best - 1; $distance <= $best + 1; $distance++) {
            $sum += $distance * ($votes[$distance] ?? 0);
            $weight += $votes[$distance] ?? 0;
        }

        return $sum / $weight;
    }

    /** @return list<int> brightness from the top */
    public static function column(GdImage $image, int $x, int $height): array
    {
        $true = imageistruecolor($image);
        $column = [];
        for ($y = 0; $y < $height; $y++) {
            $at = (int) imagecolorat($image, $x, $y);
            $column[] = $true ? ($at >> 8) & 255 : imagecolorsforindex($image, $at)['green'];
        }

        return $column;
    }

    /**
     * @param  list<int>       $column
     * @return array<int, int> by pixels, how often a thin black run and the white one after it are together that long,
     *                         twice in a row
     */
    private static function distances(array $column): array
    {
        $height = count($column);
        $block = max(24, intdiv($height, 40));
        $paper = [];
        for ($y = 0; $y < $height; $y += $block) {
            $part = array_slice($column, $y, $block);
            sort($part);
            $paper[] = $part[(int) (0.85 * count($part))] ?? 255;
        }
        $starts = [];
        $ends = [];
        $black = false;
        foreach ($column as $y => $value) {
            $ink = $value < 0.72 * $paper[intdiv($y, $block)];
            if ($ink !== $black) {
                $black = $ink;
                if ($ink) {
                    $starts[] = $y;
                } else {
                    $ends[] = $y;
                }
            }
        }
        $found = [];
        for ($i = 0; $i + 2 < count($starts); $i++) {
            $first = $starts[$i + 1] - $starts[$i];
            $second = $starts[$i + 2] - $starts[$i + 1];
            if ($first < 80 && abs($first - $second) <= 1 + 0.04 * $first && ($ends[$i] ?? $height) - $starts[$i] < 0.4 * $first) {
                $found[$first] = ($found[$first] ?? 0) + 1;
            }
        }

        return $found;
    }

    /** @return list<string> the green of each column, from the top */
    private static function columns(GdImage $image): array
    {
        if (! imageistruecolor($image)) {
            imagepalettetotruecolor($image);
        }
        // Turned to the left, a column is a row, and the last row is the first column: as a bitmap stores them.
        $turned = imagerotate($image, 90, 0);
        if ($turned === false) {
            throw BadPhoto::noPicture();
        }
        [$length, $count] = [imagesx($turned), imagesy($turned)];
        ob_start();
        imagebmp($turned, null, false);
        $bitmap = (string) ob_get_clean();
        unset($turned);
        $offset = unpack('V', $bitmap, 10);
        $from = is_array($offset) && is_int($offset[1]) ? $offset[1] : 54;
        $stride = 4 * intdiv(3 * $length + 3, 4);
        $columns = [];
        for ($i = 0; $i < $count; $i++) {
            $columns[] = (string) preg_replace('/.(.)./s', '$1', substr($bitmap, $from + $i * $stride, 3 * $length));
        }

        return $columns;
    }
}

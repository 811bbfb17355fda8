<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** The four corners of a page in a picture, which is cut out and laid flat by them. */
final readonly class Corners
{
    /** @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $points shares of the width and the height: upper left, upper right, lower right, lower left */
    private function __construct(private array $points) {}

    /**
     * @param list<array{float, float}> $points as above
     *
     * @throws BadPhoto when they are no four, or cross one another
     */
    public static function of(array $points): self
    {
        if (count($points) !== 4) {
            throw BadPhoto::noCorners();
        }
        for ($i = 0; $i < 4; $i++) {
            [$a, $b, $c] = [$points[$i], $points[($i + 1) % 4], $points[($i + 2) % 4]];
            // Every corner turns to the right.
            if (($b[0] - $a[0]) * ($c[1] - $b[1]) - ($b[1] - $a[1]) * ($c[0] - $b[0]) < 0.002) {
                throw BadPhoto::noCorners();
            }
        }

        return new self([$points[0], $points[1], $points[2], $points[3]]);
    }

    public function cut(Picture $picture): Picture
    {
        [$width, $height] = [$picture->width() - 1, $picture->height - 1];
        [[$x0, $y0], [$x1, $y1], [$x2, $y2], [$x3, $y3]] = array_map(static fn (array $point): array => [$point[0] * $width, $point[1] * $height], $this->points);
        $across = max(16, (int) round(max(hypot($x1 - $x0, $y1 - $y0), hypot($x2 - $x3, $y2 - $y3))));
        $down = max(16, (int) round(max(hypot($x3 - $x0, $y3 - $y0), hypot($x2 - $x1, $y2 - $y1))));
        // What a square becomes that is looked at from the side: eight numbers, the ninth is one.
        [$dx1, $dx2, $dy1, $dy2] = [$x1 - $x2, $x3 - $x2, $y1 - $y2, $y3 - $y2];
        [$sx, $sy] = [$x0 - $x1 + $x2 - $x3, $y0 - $y1 + $y2 - $y3];
        $under = $dx1 * $dy2 - $dx2 * $dy1;
        $g = ($sx * $dy2 - $dx2 * $sy) / $under;
        $h = ($dx1 * $sy - $sx * $dy1) / $under;
        [$a, $b] = [$x1 - $x0 + $g * $x1, $x3 - $x0 + $h * $x3];
        [$d, $e] = [$y1 - $y0 + $g * $y1, $y3 - $y0 + $h * $y3];
        $columns = [];
        for ($u = 0; $u < $across; $u++) {
            $s = $u / $across;
            $line = '';
            for ($v = 0; $v < $down; $v++) {
                $t = $v / $down;
                $w = $g * $s + $h * $t + 1;
                $x = max(0, min($width, (int) (($a * $s + $b * $t + $x0) / $w + 0.5)));
                $y = max(0, min($height, (int) (($d * $s + $e * $t + $y0) / $w + 0.5)));
                $line .= $picture->columns[$x][$y] ?? "\xFF";
            }
            $columns[] = $line;
        }

        return new Picture($columns, $down, $picture->scale);
    }
}

<?php

declare(strict_types=1);

namespace Tests\Photo;

use Nasturtium\Core\Formats\Photo\Strip;

/** A page of drawn staves, one below the other, as a picture. */
final class DrawnPage
{
    private const MARGIN = 60;

    /** Rows of a staff and of what is above and below it. */
    private const STAFF = 160;

    /** @param list<list<DrawnStrip>> $systems staves of each line of the page */
    public function __construct(private readonly array $systems, private readonly int $width = 700) {}

    /**
     * @param int   $turns quarter turns, clockwise
     * @param float $scale of what is drawn
     */
    public function png(int $turns = 0, float $scale = 1.0): string
    {
        $staves = array_sum(array_map(count(...), $this->systems));
        $image = imagecreatetruecolor($this->width + 2 * self::MARGIN, $staves * self::STAFF + 2 * self::MARGIN);
        assert($image !== false);
        imagefill($image, 0, 0, 0xFFFFFF);
        $y = self::MARGIN;
        foreach ($this->systems as $system) {
            if (count($system) === 2) {
                // The line at the left joins the two.
                imagefilledrectangle($image, self::MARGIN, $y + 48, self::MARGIN + 2, $y + self::STAFF + 112, 0);
            }
            foreach ($system as $staff) {
                foreach (array_slice($staff->strip()->rows, Strip::TOP - 48, self::STAFF) as $row => $line) {
                    for ($x = 0; $x < strlen($line); $x++) {
                        if ($line[$x] === "\1") {
                            imagesetpixel($image, self::MARGIN + $x, $y + $row, 0);
                        }
                    }
                }
                $y += self::STAFF;
            }
        }
        $scaled = imagescale($image, (int) (imagesx($image) * $scale));
        assert($scaled !== false);
        $turned = imagerotate($scaled, -90 * $turns, 0xFFFFFF);
        assert($turned !== false);
        ob_start();
        imagepng($turned);

        return (string) ob_get_clean();
    }
}

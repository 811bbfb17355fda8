<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** A line of the page drawn straight, as the camera saw it: one staff, or two with what is between them. */
final readonly class LinePicture
{
    /** Spaces that are shown above the lines and below. */
    private const AROUND = 5;

    /**
     * @param list<int> $tops by staff, the row of its top line
     */
    private function __construct(public string $jpeg, public int $width, public int $height, public array $tops) {}

    public static function of(System $system): self
    {
        $around = self::AROUND * Strip::SPACE;
        $parts = [];
        foreach ($system->staves as $i => $staff) {
            $gap = $system->gap();
            $above = $i === 0 || $gap === null ? $around : min(Strip::TOP, (int) ($gap / 2));
            $below = $i > 0 || $gap === null ? $around : min(Strip::TOP, (int) ($gap / 2));
            $parts[] = [$staff->strip, Strip::TOP - $above, Strip::BOTTOM + $below];
        }
        $width = max(array_map(static fn (array $part): int => $part[0]->width(), $parts));
        $height = array_sum(array_map(static fn (array $part): int => $part[2] - $part[1], $parts));
        $image = imagecreatetruecolor(max(1, $width), max(1, $height));
        if ($image === false) {
            throw BadPhoto::noPicture();
        }
        imagefill($image, 0, 0, (int) imagecolorallocate($image, 255, 255, 255));
        $at = 0;
        $tops = [];
        foreach ($parts as [$strip, $from, $to]) {
            imagecopy($image, GreyPicture::of($strip->grey, $from, $to), 0, $at, 0, 0, $strip->width(), $to - $from);
            $tops[] = $at + Strip::TOP - $from;
            $at += $to - $from;
        }

        return new self(GreyPicture::written($image), $width, $height, $tops);
    }
}

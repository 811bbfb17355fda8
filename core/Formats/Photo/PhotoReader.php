<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads a page from a scan or a photo of it. */
final class PhotoReader
{
    /** @throws BadPhoto */
    public static function read(string $bytes): ReadPhoto
    {
        $systems = System::of(self::upright($bytes));
        foreach ($systems as $system) {
            $system->read();
        }

        return PageBuilder::of($systems);
    }

    /**
     * A page that lies on its side has its staves once it is turned; one that stands on its head has its clefs at the right.
     *
     * @return non-empty-list<Staff>
     *
     * @throws BadPhoto
     */
    private static function upright(string $bytes): array
    {
        $image = Decoder::opened($bytes);
        $reason = BadPhoto::noStaves();
        foreach ([0, 1] as $turns) {
            try {
                $staves = self::staves(Decoder::picture($image, $turns));
                if ($staves !== [] && self::isOnItsHead($staves)) {
                    $staves = self::staves(Decoder::picture($image, $turns + 2)) ?: $staves;
                }
                if ($staves !== []) {
                    return $staves;
                }
            } catch (BadPhoto $refused) {
                $reason = $turns === 0 ? $refused : $reason;
            }
        }

        throw $reason;
    }

    /** @return list<Staff> from the top of the page */
    private static function staves(Picture $picture): array
    {
        $paths = StaffFinder::find($picture);

        return array_map(static fn (StaffPath $path, int $i): Staff => Staff::of($picture, $path, $i < 2), $paths, array_keys($paths));
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

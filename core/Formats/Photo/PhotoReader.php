<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads a page from a scan or a photo of it. */
final class PhotoReader
{
    /** @throws BadPhoto */
    public static function read(string $bytes): ReadPhoto
    {
        [$picture, $paths] = self::upright($bytes);
        $staves = array_map(static fn (StaffPath $path, int $i): Staff => Staff::of($picture, $path, $i < 2), $paths, array_keys($paths));
        unset($picture);
        $systems = System::of($staves);
        foreach ($systems as $system) {
            $system->read();
        }

        return PageBuilder::of($systems);
    }

    /**
     * A page that lies on its side has its staves once it is turned.
     *
     * @return array{Picture, non-empty-list<StaffPath>}
     *
     * @throws BadPhoto
     */
    private static function upright(string $bytes): array
    {
        $image = Decoder::opened($bytes);
        $reason = BadPhoto::noStaves();
        foreach ([0, 1, 3] as $turns) {
            try {
                $picture = Decoder::picture($image, $turns);
            } catch (BadPhoto $refused) {
                $reason = $turns === 0 ? $refused : $reason;

                continue;
            }
            $paths = StaffFinder::find($picture);
            if ($paths !== []) {
                return [$picture, $paths];
            }
        }

        throw $reason;
    }
}

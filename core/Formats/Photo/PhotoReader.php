<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Reads a page from a scan or a photo of it. */
final class PhotoReader
{
    /** @throws BadPhoto */
    public static function read(string $bytes): ReadPhoto
    {
        $picture = Decoder::read($bytes);
        $paths = StaffFinder::find($picture);
        if ($paths === []) {
            throw BadPhoto::noStaves();
        }
        $staves = array_map(static fn (StaffPath $path, int $i): Staff => Staff::of($picture, $path, $i < 2), $paths, array_keys($paths));
        unset($picture);
        $systems = System::of($staves);
        foreach ($systems as $system) {
            $system->read();
        }

        return PageBuilder::of($systems);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** What a picture gave: the page, and its lines, of which pictures can be drawn. */
final readonly class PhotoReading
{
    /** @param non-empty-list<System> $systems */
    public function __construct(public ReadPage $page, public array $systems, private Picture $picture) {}

    /** @return list<LinePicture> one a line of the page */
    public function lines(): array
    {
        return array_map(LinePicture::of(...), $this->systems);
    }

    /** The whole page upright, as it was looked at: a JPEG in grey. */
    public function upright(): string
    {
        return GreyPicture::jpeg($this->picture->columns, 0, $this->picture->height);
    }
}

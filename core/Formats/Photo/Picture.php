<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/**
 * A page as columns of brightness, which is what staves are looked for in: one string a column, one byte a pixel from the
 * top, 0 black to 255 white.
 */
final readonly class Picture
{
    /**
     * @param list<string> $columns
     * @param float        $scale   pixels of this picture to one of the file
     */
    public function __construct(public array $columns, public int $height, public float $scale) {}

    public function width(): int
    {
        return count($this->columns);
    }
}

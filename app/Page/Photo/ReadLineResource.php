<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A line of the page as a picture: its size, and the rows of its staves' top lines. */
#[OA\Schema]
final readonly class ReadLineResource
{
    /** @param list<int> $tops */
    public function __construct(
        #[OA\Property]
        public int $position,
        #[OA\Property]
        public int $width,
        #[OA\Property]
        public int $height,
        #[ListOf('integer')]
        public array $tops,
    ) {}

    public static function of(PhotoLine $line): self
    {
        /** @var list<int> $tops */
        $tops = json_decode($line->tops, true, 2, JSON_THROW_ON_ERROR);

        return new self($line->position, $line->width, $line->height, $tops);
    }
}

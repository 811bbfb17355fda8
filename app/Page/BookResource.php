<?php

declare(strict_types=1);

namespace App\Page;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** A book with its pages in order. */
#[OA\Schema]
final readonly class BookResource
{
    /**
     * @param  list<PageResource>  $pages
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $level,
        #[ListOf(PageResource::class)]
        public array $pages,
    ) {}

    public static function of(Book $book): self
    {
        return new self($book->id, $book->title, $book->level, array_values($book->pages->sortBy('number')->map(PageResource::of(...))->all()));
    }
}

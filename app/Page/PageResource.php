<?php

declare(strict_types=1);

namespace App\Page;

use App\Api\ListOf;
use App\Page\Piece\Piece;
use Nasturtium\Core\Formats\Book\PageKind;
use OpenApi\Attributes as OA;

/** A page of a book. */
#[OA\Schema]
final readonly class PageResource
{
    /**
     * @param  list<PieceListResource>  $pieces
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public PageKind $kind,
        #[OA\Property]
        public string $introduces,
        #[ListOf(PieceListResource::class)]
        public array $pieces,
    ) {}

    public static function of(Page $page): self
    {
        return new self($page->id, $page->number, $page->title, $page->kind, $page->introduces, array_values($page->pieces->sortBy('label')->map(
            static fn (Piece $piece): PieceListResource => new PieceListResource($piece->id, $piece->label, $piece->title, $piece->measures),
        )->all()));
    }
}

<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Api\ListOf;
use Nasturtium\Core\Formats\Photo\Corrected;
use Nasturtium\Core\Formats\Photo\ReadPage;
use OpenApi\Attributes as OA;

/** What was read of a picture, as it is corrected so far. */
#[OA\Schema]
final readonly class ReadPageResource
{
    /**
     * @param int                     $corrections how many were made, and can be undone
     * @param bool                    $isPoor      most of its bars are in doubt
     * @param list<ReadPieceResource> $pieces      from the top of the page
     * @param list<ReadLineResource>  $lines       of the page, to be looked at
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $pageId,
        #[OA\Property]
        public string $where,
        #[OA\Property]
        public int $revision,
        #[OA\Property]
        public int $corrections,
        #[OA\Property]
        public bool $isPoor,
        #[ListOf(ReadPieceResource::class)]
        public array $pieces,
        #[ListOf(ReadLineResource::class)]
        public array $lines,
    ) {}

    /**
     * Needs its page with the book.
     *
     * @param list<PhotoLine> $lines without their pictures
     */
    public static function of(PagePhoto $photo, ReadPage $read, array $lines): self
    {
        $corrections = Corrections::kept($photo);
        $now = Corrected::page($read, $corrections);
        $typed = $photo->typedPieces();
        $pieces = [];
        foreach ($now->pieces as $i => $piece) {
            $pieces[] = ReadPieceResource::of($piece, $now->label($i), in_array($i, $typed, true));
        }

        return new self($photo->id, $photo->page_id, $photo->page->inBook(), $photo->revision, count($corrections), $read->isPoor(), $pieces, array_map(ReadLineResource::of(...), $lines));
    }
}

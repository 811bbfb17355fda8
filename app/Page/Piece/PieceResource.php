<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Api\ListOf;
use App\Http\English;
use OpenApi\Attributes as OA;

/** A piece with its music as MusicXML. */
#[OA\Schema]
final readonly class PieceResource
{
    /**
     * @param  string  $music  MusicXML; empty while it is not typed
     * @param  list<string>  $notRead
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $pageId,
        #[OA\Property]
        public string $book,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $music,
        #[OA\Property]
        public ?string $shorthand,
        #[OA\Property]
        public int $measures,
        #[OA\Property]
        public int $revision,
        #[OA\Property]
        public ?string $duet,
        #[OA\Property]
        public int $octave,
        #[ListOf('string')]
        public array $notRead,
    ) {}

    public static function of(Piece $piece): self
    {
        [$book, $page] = $piece->whereabouts();

        return new self(
            $piece->id,
            $piece->page_id,
            $book,
            $page,
            $piece->label,
            $piece->title,
            $piece->music ?? '',
            $piece->shorthand,
            $piece->measures,
            $piece->revision,
            $piece->duet,
            $piece->octave ?? 0,
            $piece->not_read === '' ? [] : array_map(English::text(...), explode("\n", $piece->not_read)),
        );
    }
}

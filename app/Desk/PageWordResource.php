<?php

declare(strict_types=1);

namespace App\Desk;

use App\Http\English;
use Nasturtium\Core\Reading\PageWord;
use Nasturtium\Core\Reading\PageWords;
use Nasturtium\Core\Score\Piece;
use OpenApi\Attributes as OA;

/** A sign or a word of a page, and what it says. */
#[OA\Schema]
final readonly class PageWordResource
{
    public function __construct(
        #[OA\Property]
        public string $sign,
        #[OA\Property(description: 'as it stands there; empty for what is drawn')]
        public string $text,
        #[OA\Property]
        public string $says,
    ) {}

    /** @return list<self> */
    public static function all(Piece $piece): array
    {
        return array_map(static fn (PageWord $word): self => new self($word->sign, $word->text, English::text($word->says)), PageWords::of($piece));
    }
}

<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Api\ListOf;
use Nasturtium\Core\Formats\Shorthand\TextEdit;
use Nasturtium\Core\Score\Fix;
use OpenApi\Attributes as OA;

/** What mends a check: the words on the button, and what it changes in the typed text. */
#[OA\Schema]
final readonly class FixResource
{
    /**
     * @param  list<TextEditResource>  $edits
     */
    public function __construct(
        #[OA\Property]
        public string $label,
        #[ListOf(TextEditResource::class)]
        public array $edits,
    ) {}

    /** @param list<TextEdit> $edits */
    public static function of(Fix $fix, array $edits): ?self
    {
        return $edits === [] ? null : new self($fix->kind->label(), array_map(TextEditResource::of(...), $edits));
    }
}

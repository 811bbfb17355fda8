<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Piece;

/** What has been typed so far: the music that can be read, and what stands in its way. */
final readonly class ReadShorthand
{
    /**
     * @param  list<ShorthandError>  $errors
     * @param  array<string, Span>  $spans  where each event was typed, by its id; a copied one where it was copied
     */
    public function __construct(public ?Piece $piece, public array $errors, public array $spans = []) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Piece;

/** What has been typed so far: the music that can be read, and what stands in its way. */
final readonly class ReadShorthand
{
    /** @param list<ShorthandError> $errors */
    public function __construct(public ?Piece $piece, public array $errors) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** One part of a file: who plays it, on how many staves, and how much. */
final readonly class ScorePart
{
    /** @param int $notes how many are written in it */
    public function __construct(public string $id, public string $name, public int $staves, public int $notes) {}
}

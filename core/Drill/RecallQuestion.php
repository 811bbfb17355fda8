<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** A question about a page, with its answer and where that stands. */
final readonly class RecallQuestion
{
    /** @param list<int> $bars numbers of the bars that the answer is about; none for the whole page */
    public function __construct(public string $ask, public string $answer, public array $bars = []) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** A bar as it was read. */
final readonly class ReadBar
{
    /**
     * @param list<list<Item>> $staves
     * @param list<array{int, string}> $doubts the staff from 1, and why
     */
    public function __construct(public array $staves, public bool $repeatStart, public bool $repeatEnd, public array $doubts, public bool $newLine) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

/** A page in a book's table of contents. */
final readonly class ContentsRow
{
    /** @param string $introduces what is new on it */
    public function __construct(public int $page, public string $title, public PageKind $kind, public string $introduces) {}
}

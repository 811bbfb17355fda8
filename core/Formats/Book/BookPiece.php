<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

/** A piece in a book's archive. */
final readonly class BookPiece
{
    /**
     * @param  string  $label  A, B or C where a page holds several
     * @param  string  $music  MusicXML
     * @param  string|null  $shorthand  as typed
     * @param  string|null  $duet  the teacher's part, MusicXML
     */
    public function __construct(public int $page, public string $label, public string $title, public string $music, public ?string $shorthand, public ?string $duet) {}
}

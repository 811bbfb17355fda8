<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

use Nasturtium\Core\Pattern\Verdict;

/** A piece in a book's archive, with what the teacher made of it. */
final readonly class BookPiece
{
    /**
     * @param  string  $label  A, B or C where a page holds several
     * @param  string  $music  MusicXML
     * @param  string|null  $shorthand  as typed
     * @param  string|null  $duet  the teacher's part, MusicXML
     * @param  int  $octave  by which the student plays it higher
     * @param  list<BookFinger>  $fingers
     * @param  array<int, Verdict>  $verdicts  by the number of the bar
     */
    public function __construct(
        public int $page,
        public string $label,
        public string $title,
        public string $music,
        public ?string $shorthand,
        public ?string $duet,
        public int $octave = 0,
        public array $fingers = [],
        public array $verdicts = [],
    ) {}
}

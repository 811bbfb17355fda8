<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Book;
use App\Models\Page;
use App\Models\Piece;
use Nasturtium\Core\Formats\Book\BookArchive;
use Nasturtium\Core\Formats\Book\BookPiece;
use Nasturtium\Core\Formats\Book\ContentsRow;
use Nasturtium\Core\Formats\Book\PageKind;

/** A book with its pages and pieces, as an archive. */
final class PackBook
{
    public function __invoke(Book $book): BookArchive
    {
        $pages = $book->pages()->with('pieces')->orderBy('number')->get();
        $pieces = $pages->flatMap(static fn (Page $page) => $page->pieces->sortBy('label')->map(
            static fn (Piece $piece): BookPiece => new BookPiece($page->number, $piece->label, $piece->title, $piece->music, $piece->shorthand, $piece->duet),
        ));

        return new BookArchive(
            $book->title,
            $book->level,
            array_values($pages->map(static fn (Page $page): ContentsRow => new ContentsRow($page->number, $page->title, PageKind::from($page->kind), $page->introduces))->all()),
            array_values($pieces->all()),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Book;
use App\Models\Page;
use App\Models\Studio;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\Book\BookArchive;
use Nasturtium\Core\Formats\Book\BookPiece;
use Nasturtium\Core\Formats\Book\ContentsRow;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;

/** Makes a book from an archive; all of it or nothing. */
final class UnpackBook
{
    public function __construct(private readonly StorePiece $store) {}

    public function __invoke(Studio $studio, BookArchive $archive): Book
    {
        return DB::transaction(function () use ($studio, $archive): Book {
            $book = Book::query()->create(['studio_id' => $studio->id, 'title' => $archive->title, 'level' => $archive->level]);
            $pages = [];
            foreach ($archive->contents as $row) {
                $pages[$row->page] = self::page($book, $row);
            }
            foreach ($archive->pieces as $piece) {
                $this->piece($pages[$piece->page], $piece);
            }

            return $book;
        });
    }

    /** Adds a page, or brings one that is there up to date. */
    public static function page(Book $book, ContentsRow $row): Page
    {
        $page = Page::query()->firstOrNew(['book_id' => $book->id, 'number' => $row->page], ['studio_id' => $book->studio_id]);
        $page->fill(['title' => $row->title, 'kind' => $row->kind->value, 'introduces' => $row->introduces])->save();

        return $page;
    }

    private function piece(Page $page, BookPiece $given): void
    {
        $typed = $given->shorthand === null ? null : ShorthandReader::read($given->shorthand);
        $duet = $given->duet === null ? null : MusicXmlReader::read($given->duet)->piece;
        if ($typed?->piece !== null && $typed->errors === [] && $given->shorthand !== null) {
            $this->store->fromShorthand($page, $given->shorthand, $given->label)->update(['duet' => $given->duet]);
        } else {
            $read = MusicXmlReader::read($given->music);
            $this->store->fromScore($page, new ReadScore($read->piece, $read->notRead, $duet), $given->label);
        }
    }
}

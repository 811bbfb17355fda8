<?php

declare(strict_types=1);

namespace App\Page;

use App\Account\Studio;
use App\Page\Piece\StorePiece;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\Book\BookArchive;
use Nasturtium\Core\Formats\Book\BookFinger;
use Nasturtium\Core\Formats\Book\BookPiece;
use Nasturtium\Core\Formats\Book\ContentsRow;
use Nasturtium\Core\Formats\MusicXml\MusicXmlReader;
use Nasturtium\Core\Formats\MusicXml\MusicXmlWriter;
use Nasturtium\Core\Formats\ReadScore;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Pattern\Verdict;

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
        $duet = $given->duet === null ? null : MusicXmlReader::kept($given->duet);
        $typed = $given->shorthand === null ? null : ShorthandReader::read($given->shorthand);
        if ($typed?->piece !== null && $typed->errors === [] && $given->shorthand !== null) {
            $piece = $this->store->fromShorthand($page, $given->shorthand, $given->label);
            $piece->update(['duet' => $duet === null ? null : MusicXmlWriter::write($duet), 'octave' => $given->octave]);
        } else {
            $piece = $this->store->fromScore($page, new ReadScore(MusicXmlReader::kept($given->music), [], $duet), $given->label);
            $piece->update(['octave' => $given->octave]);
        }
        $of = ['studio_id' => $piece->studio_id, 'piece_id' => $piece->id];
        DB::table('own_fingers')->insert(array_map(static fn (BookFinger $one): array => [...$of, 'hand' => $one->hand->value, 'place' => $one->place, 'pitch' => $one->pitch, 'finger' => $one->finger], $given->fingers));
        DB::table('verdicts')->insert(array_map(static fn (int $bar, Verdict $verdict): array => [...$of, 'measure' => $bar, 'verdict' => $verdict->value], array_keys($given->verdicts), $given->verdicts));
    }
}

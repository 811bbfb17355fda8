<?php

declare(strict_types=1);

namespace App\Page;

use App\Desk\OwnFinger;
use App\Desk\Verdict as BarVerdict;
use App\Page\Piece\NoMusic;
use App\Page\Piece\Piece;
use Nasturtium\Core\Formats\Book\BookArchive;
use Nasturtium\Core\Formats\Book\BookFinger;
use Nasturtium\Core\Formats\Book\BookPiece;
use Nasturtium\Core\Formats\Book\ContentsRow;

/** A book with its pages and pieces, as an archive; its pieces are fetched page by page. */
final class PackBook
{
    private const AT_ONCE = 20;

    public function __invoke(Book $book): BookArchive
    {
        $pages = $book->pages()->orderBy('number')->get();

        return new BookArchive(
            $book->title,
            $book->level,
            array_values($pages->map(static fn (Page $page): ContentsRow => new ContentsRow($page->number, $page->title, $page->kind, $page->introduces))->all()),
            self::pieces($book),
        );
    }

    /** @return \Generator<int, BookPiece> */
    private static function pieces(Book $book): \Generator
    {
        $order = Piece::query()->join('pages', 'pages.id', '=', 'pieces.page_id')->where('pages.book_id', $book->id)->whereNotNull('pieces.music')
            ->orderBy('pages.number')->orderBy('pieces.label')->orderBy('pieces.id')->pluck('pages.number', 'pieces.id');
        foreach ($order->chunk(self::AT_ONCE) as $numbers) {
            $pieces = Piece::query()->with(['ownFingers', 'verdicts'])->findMany($numbers->keys())->keyBy('id');
            foreach ($numbers as $id => $number) {
                yield self::piece((int) $number, $pieces[$id]);
            }
        }
    }

    private static function piece(int $number, Piece $piece): BookPiece
    {
        return new BookPiece(
            $number,
            $piece->label,
            $piece->title,
            $piece->music ?? throw NoMusic::yet(),
            $piece->shorthand,
            $piece->duet,
            $piece->octave,
            array_values($piece->ownFingers->sortBy('id')->map(static fn (OwnFinger $one): BookFinger => new BookFinger($one->hand, $one->place, $one->pitch, $one->finger))->all()),
            $piece->verdicts->sortBy('measure')->mapWithKeys(static fn (BarVerdict $one): array => [$one->measure => $one->verdict])->all(),
        );
    }
}

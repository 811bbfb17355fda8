<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\NextPageResource;
use App\Models\Learning;
use App\Models\Piece;
use App\Models\Student;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What a student could open next: in each book they are in, the first piece after the last one opened; and the first piece of every other book. */
final class NextPages
{
    /** @return list<NextPageResource> books they are in first */
    public static function of(Student $student): array
    {
        $opened = Learning::query()->where('student_id', $student->id)->pluck('piece_id')->flip();
        $skipped = DB::table('skipped_pages')->where('student_id', $student->id)->pluck('page_id')->flip();
        $pieces = Piece::query()->where('pieces.studio_id', $student->studio_id)->join('pages', 'pages.id', '=', 'pieces.page_id')
            ->orderBy('pages.book_id')->orderBy('pages.number')->orderBy('pieces.label')->orderBy('pieces.id')
            ->get(['pieces.id', 'pieces.page_id', 'pieces.title', 'pages.book_id', 'pages.number']);
        $books = DB::table('books')->where('studio_id', $student->studio_id)->pluck('title', 'id');
        $next = [];
        foreach ($pieces->toBase()->groupBy(static fn (Piece $piece): int => (int) $piece->getAttribute('book_id')) as $book => $of) {
            $piece = self::next($of, $opened, $skipped);
            if ($piece !== null) {
                $inIt = $of->contains(static fn (Piece $one): bool => $opened->has($one->id));
                $next[] = new NextPageResource($piece->id, $piece->page_id, $piece->title, "{$books[$book]}, p. {$piece->getAttribute('number')}", ! $inIt);
            }
        }
        usort($next, static fn (NextPageResource $a, NextPageResource $b): int => $a->otherBook <=> $b->otherBook);

        return $next;
    }

    /**
     * @param  Collection<int, Piece>  $pieces  of a book, in order
     * @param  Collection<int, int>  $opened
     * @param  Collection<int, int>  $skipped
     */
    private static function next(Collection $pieces, Collection $opened, Collection $skipped): ?Piece
    {
        $last = $pieces->values()->search(static fn (Piece $piece): bool => $opened->has($piece->id));
        foreach ($pieces->values() as $at => $piece) {
            $last = $opened->has($piece->id) ? $at : $last;
        }

        return $pieces->values()->slice($last === false ? 0 : $last + 1)->first(static fn (Piece $piece): bool => ! $skipped->has($piece->page_id));
    }
}

<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Page\Page;
use Illuminate\Support\Facades\DB;

/** What a student could open next: in each book they are in, what comes after the last one opened, with music or without. */
final class NextPages
{
    /** @return list<NextPageResource> */
    public static function of(int $student): array
    {
        $rows = DB::select(<<<'SQL'
            with listed as (
                select pages.book_id, pages.number, pages.id as page_id, pieces.id, coalesce(nullif(pieces.title, ''), nullif(pages.title, ''), concat('Page ', pages.number)) as title,
                    row_number() over (partition by pages.book_id order by pages.number, pieces.label, pieces.id) as place,
                    learnings.id is not null as opened, skipped_pages.id is not null as skipped
                from student_books
                join pages on pages.book_id = student_books.book_id
                left join pieces on pieces.page_id = pages.id
                left join learnings on learnings.piece_id = pieces.id and learnings.student_id = student_books.student_id
                left join skipped_pages on skipped_pages.page_id = pages.id and skipped_pages.student_id = student_books.student_id
                where student_books.student_id = ?
            ), reached as (
                select book_id, max(if(opened, place, 0)) as place from listed group by book_id
            ), next as (
                select listed.book_id, min(listed.place) as place
                from listed join reached on reached.book_id = listed.book_id
                where listed.place > reached.place and not listed.skipped
                group by listed.book_id
            )
            select listed.id, listed.page_id, listed.title, books.title as book, listed.number, books.id as book_id
            from next
            join listed on listed.book_id = next.book_id and listed.place = next.place
            join books on books.id = next.book_id
            order by next.book_id
            SQL, [$student]);

        return array_map(static fn (\stdClass $row): NextPageResource => new NextPageResource($row->id, $row->page_id, $row->book_id, $row->title, Page::words($row->book, $row->number)), array_values($rows));
    }
}

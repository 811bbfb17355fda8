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
                select *, max(if(opened, place, 0)) over (partition by book_id) as reached from listed
            ), ahead as (
                select *, row_number() over (partition by book_id order by place) as nth from reached where place > reached and not skipped
            )
            select ahead.id, ahead.page_id, ahead.title, books.title as book, ahead.number, books.id as book_id
            from ahead join books on books.id = ahead.book_id
            where ahead.nth = 1
            order by ahead.book_id
            SQL, [$student]);

        return array_map(static fn (\stdClass $row): NextPageResource => new NextPageResource($row->id, $row->page_id, $row->book_id, $row->title, Page::words($row->book, $row->number)), array_values($rows));
    }
}

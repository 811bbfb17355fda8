<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Student\Student;
use Illuminate\Support\Facades\DB;

/** The books that a student is in, and where. */
final class StudentBooks
{
    public static function enter(Student $student, int $book): void
    {
        DB::table('student_books')->insertOrIgnore(['studio_id' => $student->studio_id, 'student_id' => $student->id, 'book_id' => $book]);
    }

    /** Of a studio whose rows say what was opened, and not yet in which books anybody is. */
    public static function enterOpened(int $studio): void
    {
        DB::table('student_books')->insertOrIgnoreUsing(['studio_id', 'student_id', 'book_id'], DB::table('learnings')
            ->join('pieces', 'pieces.id', '=', 'learnings.piece_id')->join('pages', 'pages.id', '=', 'pieces.page_id')
            ->where('learnings.studio_id', $studio)->distinct()->select(['learnings.studio_id', 'learnings.student_id', 'pages.book_id']));
    }

    /** What was learnt in it stays; its pages are proposed no more. */
    public static function leave(Student $student, int $book): void
    {
        DB::table('student_books')->where('student_id', $student->id)->where('book_id', $book)->delete();
    }

    /** @return list<StudentBookResource> in the order they were begun */
    public static function of(int $student): array
    {
        $next = [];
        foreach (NextPages::of($student) as $page) {
            $next[$page->bookId] = $page;
        }
        $rows = DB::table('student_books')->join('books', 'books.id', '=', 'student_books.book_id')->where('student_books.student_id', $student)
            ->leftJoin('pages', 'pages.book_id', '=', 'books.id')
            ->leftJoin('pieces', 'pieces.page_id', '=', 'pages.id')
            ->leftJoin('learnings', static fn ($learning) => $learning->on('learnings.piece_id', '=', 'pieces.id')->where('learnings.student_id', $student))
            ->groupBy('student_books.id', 'books.id', 'books.title')->orderBy('student_books.id')
            ->get(['books.id', 'books.title', DB::raw('max(if(learnings.id is null, null, pages.number)) as at'), DB::raw('count(distinct learnings.id) as opened')]);

        return array_values($rows->map(static fn (\stdClass $row): StudentBookResource => new StudentBookResource(
            $row->id,
            $row->title,
            $row->at === null ? null : "p. {$row->at}",
            (int) $row->opened,
            $next[$row->id] ?? null,
        ))->all());
    }
}

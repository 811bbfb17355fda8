<?php

declare(strict_types=1);

namespace App\Actions\Progress;

use App\Models\Student;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The pieces a student has opened, with their pages and books. */
final class LearntPages
{
    /** @return Collection<int, \stdClass> in the order they were opened */
    public static function of(Student $student): Collection
    {
        return DB::table('learnings')->join('pieces', 'pieces.id', '=', 'learnings.piece_id')->join('pages', 'pages.id', '=', 'pieces.page_id')->join('books', 'books.id', '=', 'pages.book_id')
            ->where('learnings.student_id', $student->id)->orderBy('learnings.opened_on')->orderBy('learnings.id')
            ->get(['learnings.piece_id', 'pieces.title', 'learnings.state', 'learnings.finished_on', 'pieces.page_id', 'pages.book_id', 'books.title as book']);
    }
}

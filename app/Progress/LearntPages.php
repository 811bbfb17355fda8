<?php

declare(strict_types=1);

namespace App\Progress;

use App\Student\KnowNotes;
use App\Student\Student;
use Illuminate\Support\Collection;

/**
 * The pieces a student has opened, with their pages and books, and what tells of their notes.
 *
 * @phpstan-import-type LearningRow from KnowNotes
 */
final class LearntPages
{
    /** @return Collection<int, LearningRow&\stdClass> in the order they were opened */
    public static function of(Student $student): Collection
    {
        /** @var Collection<int, LearningRow&\stdClass> */
        return KnowNotes::learnt($student)->join('pages', 'pages.id', '=', 'pieces.page_id')->join('books', 'books.id', '=', 'pages.book_id')
            ->addSelect(['learnings.id', 'pieces.title', 'learnings.state', 'learnings.finished_on', 'pieces.page_id', 'pages.book_id', 'books.title as book'])
            ->orderBy('learnings.opened_on')->orderBy('learnings.id')->get();
    }
}

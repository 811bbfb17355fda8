<?php

declare(strict_types=1);

namespace App\Week\Proposal;

use App\Page\Page;
use App\Page\Piece\Piece;
use App\Student\Learning\NextPages;
use App\Student\Learning\OpenPiece;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\Book\PageKind;
use Nasturtium\Core\Practice\LearningState;

/**
 * A page to write or to listen to, once a week (trade 11.8): where none is open, the next of a book that the student is in
 * is opened.
 */
final class ProposeTheory
{
    public function __construct(private readonly OpenPiece $open) {}

    public function __invoke(Student $student, CarbonImmutable $today): void
    {
        $kinds = PageKind::withoutPieces();
        $isOpen = DB::table('learnings')->join('pieces', 'pieces.id', '=', 'learnings.piece_id')->join('pages', 'pages.id', '=', 'pieces.page_id')
            ->where('learnings.student_id', $student->id)->where('learnings.state', LearningState::Current->value)->whereIn('pages.kind', $kinds)->exists();
        if ($isOpen) {
            return;
        }
        $ids = array_map(static fn ($page): int => $page->pageId, NextPages::of($student->id));
        $page = Page::query()->whereKey($ids)->whereIn('kind', $kinds)->orderBy('id')->first();
        if ($page !== null) {
            ($this->open)($student, Piece::query()->where('page_id', $page->id)->orderBy('id')->first() ?? Piece::untyped($page), $today);
        }
    }
}

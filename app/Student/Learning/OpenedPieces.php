<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Formats\Book\PageKind;
use Nasturtium\Core\Practice\LearningState;

/** All pieces that a student has opened, the newest first, by their names alone. */
final class OpenedPieces
{
    /** @return list<OpenedPieceResource> */
    public static function of(int $student): array
    {
        $rows = DB::table('learnings')->join('pieces', 'pieces.id', '=', 'learnings.piece_id')->join('pages', 'pages.id', '=', 'pieces.page_id')->where('learnings.student_id', $student)
            ->orderByDesc('learnings.opened_on')->orderByDesc('learnings.id')->get(['learnings.id', 'learnings.piece_id', 'pieces.title', 'learnings.state', 'pages.kind', DB::raw('pieces.music is not null as typed')]);

        return array_values($rows->map(static fn (\stdClass $row): OpenedPieceResource => new OpenedPieceResource($row->id, $row->piece_id, $row->title, $row->state === LearningState::Finished->value, $row->typed || PageKind::from($row->kind)->hasPieces()))->all());
    }
}

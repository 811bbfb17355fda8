<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\LearningState;

/** The pages that a student has finished, the newest first, as flowers without their stages. */
final class SignedOff
{
    /** As many stand on the student's page; after years there are hundreds. */
    public const SHOWN = 8;

    public static function count(int $student): int
    {
        return self::finished($student)->count();
    }

    /** @return list<LearningResource> */
    public static function newest(int $student, ?int $most = null): array
    {
        $finished = self::finished($student)->with(['piece:id,page_id,title', 'piece.page.book'])->orderByDesc('opened_on')->orderByDesc('id');
        if ($most !== null) {
            $finished->limit($most);
        }
        $learnings = array_values($finished->get()->all());
        $petals = Petals::of(array_map(static fn (Learning $learning): int => $learning->id, $learnings));

        return array_map(static fn (Learning $learning): LearningResource => LearningResource::withoutStages($learning, $petals[$learning->id] ?? []), $learnings);
    }

    /** @return list<OpenedPieceResource> what the student has opened, signed off or not, the newest first */
    public static function opened(int $student): array
    {
        $rows = DB::table('learnings')->join('pieces', 'pieces.id', '=', 'learnings.piece_id')->where('learnings.student_id', $student)
            ->orderByDesc('learnings.opened_on')->orderByDesc('learnings.id')->get(['learnings.id', 'learnings.piece_id', 'pieces.title']);

        return array_values($rows->map(static fn (\stdClass $row): OpenedPieceResource => new OpenedPieceResource($row->id, $row->piece_id, $row->title))->all());
    }

    /** @return Builder<Learning> */
    private static function finished(int $student): Builder
    {
        return Learning::query()->where('student_id', $student)->where('state', LearningState::Finished);
    }
}

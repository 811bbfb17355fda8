<?php

declare(strict_types=1);

namespace App\Student\Learning;

use Nasturtium\Core\Practice\LearningState;

/** The pages that a student has finished, the newest first, as flowers without their stages. */
final class SignedOff
{
    /** As many stand on the student's page; after years there are hundreds. */
    public const SHOWN = 8;

    /** @return list<LearningResource> */
    public static function newest(int $student, ?int $most = null): array
    {
        $finished = Learning::query()->where('student_id', $student)->where('state', LearningState::Finished)
            ->with(['piece:id,page_id,title', 'piece.page.book'])->orderByDesc('opened_on')->orderByDesc('id');
        if ($most !== null) {
            $finished->limit($most);
        }
        $learnings = array_values($finished->get()->all());
        $petals = Petals::of(array_map(static fn (Learning $learning): int => $learning->id, $learnings));

        return array_map(static fn (Learning $learning): LearningResource => LearningResource::withoutStages($learning, $petals[$learning->id] ?? []), $learnings);
    }
}

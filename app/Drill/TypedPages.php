<?php

declare(strict_types=1);

namespace App\Drill;

use App\Student\Learning\Learning;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Score\Piece;

/** The music of the newest pages of a student. */
final class TypedPages
{
    /**
     * @param  'opened_on'|'finished_on'  $by  what makes them new
     * @return list<Piece> the newest first
     */
    public static function of(int $student, LearningState $state, string $by, int $most): array
    {
        $learnings = Learning::query()->where('student_id', $student)->where('state', $state)->with('piece')->orderByDesc($by)->orderByDesc('id');
        $learnings->limit($most);
        $pieces = [];
        foreach ($learnings->get() as $learning) {
            if ($learning->piece->isTyped()) {
                $pieces[] = $learning->piece->score();
            }
        }

        return $pieces;
    }
}

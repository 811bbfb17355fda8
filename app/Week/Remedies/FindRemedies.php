<?php

declare(strict_types=1);

namespace App\Week\Remedies;

use App\Lesson\Lesson;
use App\Lesson\Slip;
use App\Student\Learning\Learning;
use Illuminate\Database\Eloquent\Collection;
use Nasturtium\Core\Practice\HeardSlip;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\Remedies;
use Nasturtium\Core\Practice\Remedy;

/** What is to be done about the slips of a lesson, piece by piece; the two weeks before it tell what comes again and again. */
final class FindRemedies
{
    /** From which lesson on a slip counts as coming again. */
    public static function since(Lesson $lesson): string
    {
        return $lesson->held_on->subWeeks(Remedies::WEEKS)->toDateString();
    }

    /** @return list<array{Learning, Remedy}> */
    public static function of(Lesson $lesson): array
    {
        $slips = $lesson->slips()->with('task.learning.piece')->orderBy('id')->get();
        if ($slips->isEmpty()) {
            return [];
        }
        $before = Slip::query()->whereRelation('lesson', static fn ($earlier) => $earlier->where('student_id', $lesson->student_id)
            ->where('held_on', '<', $lesson->held_on)->where('held_on', '>=', self::since($lesson)))->with('task')->get();
        $found = [];
        foreach ($slips->groupBy(static fn (Slip $slip): int => (int) $slip->task->learning_id) as $id => $heard) {
            $learning = $heard->first()?->task->learning;
            if ($learning === null || $learning->state === LearningState::Resting) {
                continue;
            }
            $earlier = $before->filter(static fn (Slip $slip): bool => $slip->task->learning_id === $id);
            foreach (Remedies::of($learning->piece->score(), self::heard($heard), self::heard($earlier)) as $remedy) {
                $found[] = [$learning, $remedy];
            }
        }

        return $found;
    }

    /**
     * @param  Collection<int, Slip>  $slips
     * @return list<HeardSlip>
     */
    private static function heard(Collection $slips): array
    {
        return array_values($slips->map(static fn (Slip $slip): HeardSlip => $slip->heard())->all());
    }
}

<?php

declare(strict_types=1);

namespace App\Actions\Progress;

use App\Actions\KnowNotes;
use App\Http\Resources\ProgressPlaceResource;
use App\Http\Resources\ProgressSlipResource;
use App\Models\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nasturtium\Core\Practice\Slip;

/**
 * What went wrong: by kind with the trend from the first half of the time to the second, and by place.
 *
 * @phpstan-import-type SlipRow from KnowNotes
 */
final class Slips
{
    private const PLACES = 8;

    /** @return Collection<int, SlipRow&\stdClass> all that were heard of a student; those of the time with their piece */
    public static function heard(Student $student, CarbonImmutable $from): Collection
    {
        /** @var Collection<int, SlipRow&\stdClass> */
        return KnowNotes::heard($student)->leftJoin('tasks', static fn ($task) => $task->on('tasks.id', '=', 'slips.task_id')->where('lessons.held_on', '>=', $from->toDateString()))
            ->addSelect(['slips.place', 'lessons.held_on', 'tasks.learning_id'])->orderBy('slips.id')->get();
    }

    /**
     * @param  Collection<int, \stdClass>  $heard
     * @param  array<int, string>  $titles  of pieces, by learning
     * @return array{list<ProgressSlipResource>, list<ProgressPlaceResource>} most often first
     */
    public static function of(Collection $heard, array $titles, CarbonImmutable $from, CarbonImmutable $to): array
    {
        $slips = $heard->whereBetween('held_on', [$from->toDateString(), $to->toDateString()]);
        $middle = $from->addDays(intdiv((int) $from->diffInDays($to), 2))->toDateString();
        $kinds = $slips->groupBy('kind')->map(static fn (Collection $of, string $kind): ProgressSlipResource => new ProgressSlipResource(
            $kind,
            Slip::from($kind)->words(),
            $of->where('held_on', '>', $middle)->count(),
            $of->where('held_on', '<=', $middle)->count(),
        ))->sortByDesc(static fn (ProgressSlipResource $of): int => $of->recent + $of->before);
        $places = $slips->groupBy(static fn (\stdClass $slip): string => "{$slip->learning_id} {$slip->place} {$slip->kind}")->filter(static fn (Collection $of): bool => $of->count() > 1)
            ->map(static fn (Collection $of): ProgressPlaceResource => new ProgressPlaceResource($titles[$of[0]->learning_id] ?? '', $of[0]->place, Slip::from($of[0]->kind)->words(), $of->count()))
            ->sortByDesc('times')->take(self::PLACES);

        return [array_values($kinds->all()), array_values($places->all())];
    }
}

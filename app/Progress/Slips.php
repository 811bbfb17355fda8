<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\English;
use App\Student\KnowNotes;
use App\Student\Student;
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
        [$first, $last, $middle] = [$from->toDateString(), $to->toDateString(), $from->addDays(intdiv((int) $from->diffInDays($to), 2))->toDateString()];
        $kinds = [];
        $places = [];
        foreach ($heard as $slip) {
            if ($slip->held_on >= $first && $slip->held_on <= $last) {
                $kinds[$slip->kind] ??= [0, 0];
                $kinds[$slip->kind][$slip->held_on > $middle ? 0 : 1]++;
                $place = [$titles[$slip->learning_id] ?? '', English::text($slip->place), Slip::from($slip->kind)->words()];
                $places[implode("\n", [$slip->learning_id, ...$place])] ??= [...$place, 0];
                $places[implode("\n", [$slip->learning_id, ...$place])][3]++;
            }
        }
        uasort($kinds, static fn (array $a, array $b): int => array_sum($b) <=> array_sum($a));
        $places = array_filter($places, static fn (array $of): bool => $of[3] > 1);
        usort($places, static fn (array $a, array $b): int => $b[3] <=> $a[3]);

        return [
            array_map(static fn (string $kind, array $of): ProgressSlipResource => new ProgressSlipResource(Slip::from($kind), Slip::from($kind)->words(), ...$of), array_keys($kinds), $kinds),
            array_map(static fn (array $of): ProgressPlaceResource => new ProgressPlaceResource(...$of), array_slice($places, 0, self::PLACES)),
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Progress;

use App\Week\CountWeeks;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/**
 * How fast each piece was played, at home and at the lessons: the fastest of a day, as it was counted with its week.
 *
 * @phpstan-import-type Tempo from CountWeeks
 */
final class Tempi
{
    /**
     * @param  Collection<int, \stdClass>  $weeks  in order
     * @param  array<int, string>  $titles  of pieces
     * @return list<ProgressTemposResource> pieces in the order they were first played
     */
    public static function of(Collection $weeks, array $titles, CarbonImmutable $from, CarbonImmutable $to): array
    {
        [$first, $last] = [$from->toDateString(), $to->toDateString()];
        $points = [];
        foreach ($weeks as $week) {
            /** @var list<Tempo> $tempi */
            $tempi = json_decode($week->tempi, true, flags: JSON_THROW_ON_ERROR);
            foreach ($tempi as [$piece, $day, $tempo, $lesson]) {
                if (isset($titles[$piece]) && $day >= $first && $day <= $last) {
                    $points[$piece][] = new ProgressTempoResource($day, $tempo, $lesson === 1);
                }
            }
        }

        return array_values(array_map(static fn (int $piece, array $of): ProgressTemposResource => new ProgressTemposResource($titles[$piece], $of), array_keys($points), $points));
    }
}

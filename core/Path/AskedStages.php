<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

/**
 * What of a page is asked in a week (trade 11.6): the glances and the preparation that are not passed, and two playing
 * stages beyond the furthest that passed, the two hands alone counting as one.
 */
final readonly class AskedStages
{
    private const AHEAD = 2;

    /**
     * @template T of array-key
     *
     * @param  array<T, array{StageKind, bool}>  $stages  in the order of the path: what each is, and whether it passed
     * @return list<T> those that are asked, in their order
     */
    public static function of(array $stages): array
    {
        $places = self::places($stages);
        $furthest = -1;
        foreach ($places as $at => $place) {
            $furthest = $stages[$at][1] ? max($furthest, $place) : $furthest;
        }
        $asked = [];
        foreach ($stages as $at => [, $passed]) {
            if (! $passed && ($places[$at] ?? $furthest) <= $furthest + self::AHEAD) {
                $asked[] = $at;
            }
        }

        return $asked;
    }

    /**
     * Some playing of the page was passed, or goes on.
     *
     * @param  iterable<array{StageKind, bool}>  $stages  what each is, and whether it passed or was met
     */
    public static function isBegun(iterable $stages): bool
    {
        foreach ($stages as [$kind, $isMet]) {
            if ($isMet && ! $kind->isPreparation()) {
                return true;
            }
        }

        return false;
    }

    /**
     * @template T of array-key
     *
     * @param  array<T, array{StageKind, bool}>  $stages
     * @return array<T, int> of the playing stages, which follow one another; what the other hand does alone has the same place
     */
    private static function places(array $stages): array
    {
        $places = [];
        $byName = [];
        foreach ($stages as $at => [$kind]) {
            if ($kind->isPreparation()) {
                continue;
            }
            $hand = $kind->hand();
            // Stages that a teacher has made are each its own.
            $name = match (true) {
                $kind === StageKind::Own => "own {$at}",
                $hand !== null => str_replace($hand->word(), '', $kind->value).' alone',
                default => $kind->value,
            };
            $places[$at] = $byName[$name] ??= count($byName);
        }

        return $places;
    }
}

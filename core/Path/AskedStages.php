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
        $furthest = null;
        foreach ($stages as $at => [$kind, $passed]) {
            $furthest = $passed && ! $kind->isPreparation() ? $at : $furthest;
        }
        $asked = [];
        $ahead = 0;
        $isBeyond = $furthest === null;
        $group = null;
        foreach ($stages as $at => [$kind, $passed]) {
            $isBeyond = $isBeyond || $at === $furthest;
            if ($passed || $at === $furthest) {
                continue;
            }
            if ($kind->isPreparation() || ! $isBeyond) {
                $asked[] = $at;

                continue;
            }
            // Right and left are one: the second of them asks for nothing more.
            $isOtherHand = $group !== null && $kind->hand() !== null && $group->hand() === $kind->hand()->other();
            $ahead += $isOtherHand ? 0 : 1;
            $group = $isOtherHand ? null : $kind;
            if ($ahead <= self::AHEAD) {
                $asked[] = $at;
            }
        }

        return $asked;
    }
}

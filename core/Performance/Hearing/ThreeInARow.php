<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** Three takes in a row that are as it is written, at the tempo of what is asked (trade 18.6). */
final class ThreeInARow
{
    private const ROW = 3;

    /**
     * @param  list<array{clean: bool, tempo: ?int}>  $takes  the newest first; quarters a minute, null where too little was played
     * @param  ?int  $tempo  that is asked, in beats a minute; null for any
     * @param  int  $unit  of the time signature: 4 for quarters
     */
    public static function isThere(array $takes, ?int $tempo, int $unit): bool
    {
        $last = array_slice($takes, 0, self::ROW);
        foreach ($last as ['clean' => $clean, 'tempo' => $played]) {
            if (! $clean || ($tempo !== null && $played !== null && $played * $unit < 4 * $tempo)) {
                return false;
            }
        }

        return count($last) === self::ROW;
    }
}

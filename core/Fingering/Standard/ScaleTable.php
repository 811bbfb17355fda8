<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Standard;

use Nasturtium\Core\Score\Hand;

/**
 * The fingers of every scale by its degrees, as they come round in each octave (trade 4.7): the thumb on white keys,
 * in groups of three and four. What happens at the two ends of a run is not in it.
 */
final readonly class ScaleTable
{
    /** By the tonic's key from C. */
    private const MAJOR = [
        'R' => ['1231234', '2312341', '1231234', '3123412', '1231234', '1234123', '2341231', '1231234', '3412312', '1231234', '4123123', '1231234'],
        'L' => ['1432132', '3214321', '1432132', '3214321', '1432132', '1432132', '4321321', '1432132', '3214321', '1432132', '3214321', '1321432'],
    ];

    private const MINOR = [
        'R' => ['1231234', '3412312', '1231234', '3123412', '1231234', '1234123', '3412312', '1231234', '3412312', '1231234', '4123123', '1231234'],
        'L' => ['1432132', '3214321', '1432132', '2143213', '1432132', '1432132', '4321321', '1432132', '3213214', '1432132', '2132143', '1321432'],
    ];

    /** Where the raised sixth and seventh of the melodic form let the thumb fall on another white key. */
    private const MELODIC = [
        'R' => [1 => '2312341', 6 => '2312341'],
        'L' => [8 => '3214321'],
    ];

    /**
     * @param  int  $tonic  its key from C, 0 to 11
     * @return list<int> a finger for each degree
     */
    public static function fingers(int $tonic, ScaleKind $kind, Hand $hand): array
    {
        $row = match ($kind) {
            ScaleKind::Major => self::MAJOR[$hand->value][$tonic] ?? null,
            ScaleKind::Melodic => self::MELODIC[$hand->value][$tonic] ?? self::MINOR[$hand->value][$tonic] ?? null,
            default => self::MINOR[$hand->value][$tonic] ?? null,
        };

        return array_map(intval(...), str_split($row ?? throw new \LogicException("no scale begins {$tonic} keys above C")));
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Pitch;

/** Where a key lies, by the groups of black keys and the octave from middle C (trade 3.2). */
final readonly class KeyPlace
{
    private const IN_GROUP = [
        'left of the two black keys',
        'the left one of the two black keys',
        'between the two black keys',
        'the right one of the two black keys',
        'right of the two black keys',
        'left of the three black keys',
        'the left one of the three black keys',
        'between the first and second of the three black keys',
        'the middle one of the three black keys',
        'between the second and third of the three black keys',
        'the right one of the three black keys',
        'right of the three black keys',
    ];

    private const MIDDLE_C = 60;

    public static function of(Pitch $pitch): string
    {
        $key = $pitch->midi();
        $octave = intdiv($key - (($key % 12 + 12) % 12), 12) - intdiv(self::MIDDLE_C, 12);
        $where = match (true) {
            $key === self::MIDDLE_C => 'in the middle of the piano',
            $octave === 0 => 'in the octave that starts at middle C',
            $octave === 1 => 'one octave above that of middle C',
            $octave > 1 => "{$octave} octaves above that of middle C",
            $octave === -1 => 'in the octave below middle C',
            default => (-$octave).' octaves below that of middle C',
        };

        return self::IN_GROUP[($key % 12 + 12) % 12].', '.$where;
    }
}

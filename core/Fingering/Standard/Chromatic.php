<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Standard;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Score\Hand;

/** A run by half steps: 3 on the black keys, the thumb on the white ones; of two white ones in a row the farther takes 2 (trade 4.7). */
final readonly class Chromatic
{
    public const LEAST = 4;

    private const WEIGHT = 14;

    /** White keys whose neighbour on the thumb's side is white: C and F to the right, E and B to the left. */
    private const SECOND = ['R' => [0, 5], 'L' => [4, 11]];

    /**
     * @param  non-empty-list<Strike>  $run  single notes by half steps in one direction
     * @param  bool  $startsInside  it is played from the first of these on, not towards it
     * @return list<StandardFingers> in the order given
     */
    public static function fingers(array $run, Hand $hand, bool $startsInside): array
    {
        $fingers = [];
        foreach ($run as $i => $strike) {
            $class = abs($strike->keys[0]) % 12;
            $finger = match (true) {
                Strike::isBlack($strike->keys[0]) => 3,
                in_array($class, self::SECOND[$hand->value], true) => 2,
                default => 1,
            };
            // A run that starts on the key after two white ones may start with the thumb.
            $isStart = $i === 0 && $startsInside && $finger === 2;
            $fingers[] = new StandardFingers('chromatic scale', $isStart ? 1 : $finger, $finger, self::WEIGHT);
        }

        return $fingers;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Standard;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Score\Hand;

/** A chord that runs on over more than an octave: its thumb comes round on one of its keys (trade 4.7). */
final readonly class Arpeggios
{
    public const LEAST = 4;

    private const WEIGHT = 14;

    /**
     * @param  non-empty-list<Strike>  $run  single notes of one chord in one direction, by skips
     * @return list<StandardFingers>|null outwards; null when it is no chord
     */
    public static function fingers(array $run, Hand $hand): ?array
    {
        $keys = array_map(static fn (Strike $strike): int => $strike->keys[0], $run);
        $letters = array_map(static fn (Strike $strike): int => $strike->letters[0], $run);
        $name = ChordShape::name($keys, $letters);
        $tones = count(array_unique(array_map(static fn (int $key): int => abs($key) % 12, $keys)));
        if ($name === null || $tones < 3 || $tones > 4) {
            return null;
        }
        $name = (string) preg_replace('/ chord.*/', ' arpeggio', $name);
        $fingers = self::round($keys, $tones, $hand);
        $last = count($fingers) - 1;
        $others = $fingers;
        if ($fingers[$last] === 1) {
            $fingers[$last] = $others[$last] = 5;
        }
        if (($fingers[1] ?? 0) === 1 && $fingers[0] === 4) {
            $fingers[0] = 2;
        }

        return array_map(static fn (int $finger, int $other): StandardFingers => new StandardFingers($name, $finger, $other, self::WEIGHT), $fingers, $others);
    }

    /**
     * @param  non-empty-list<int>  $keys
     * @return non-empty-list<int>
     */
    private static function round(array $keys, int $tones, Hand $hand): array
    {
        $thumb = self::thumb($keys, $tones, $hand);
        $fingers = [];
        foreach ($keys as $i => $key) {
            $place = (($i - $thumb) % $tones + $tones) % $tones;
            $fingers[] = $place < 2 || $tones === 4 ? $place + 1 : self::third($keys, $i, $hand);
        }

        return $fingers;
    }

    /**
     * On the lowest note if that is white, else on the first white one after it.
     *
     * @param  non-empty-list<int>  $keys
     * @return int a place from which it comes round
     */
    private static function thumb(array $keys, int $tones, Hand $hand): int
    {
        $last = count($keys) - 1;
        if ($hand === Hand::Right) {
            for ($i = 0; $i < $tones; $i++) {
                if (! Strike::isBlack($keys[$i] ?? 1)) {
                    return $i;
                }
            }

            return 0;
        }
        // Downwards from the note an octave above the lowest.
        for ($i = $last - $tones; $i <= $last; $i++) {
            if ($i >= 0 && ! Strike::isBlack($keys[$i] ?? 1)) {
                return $i;
            }
        }

        return $last;
    }

    /**
     * The last key before the thumb comes round: 4 when a third lies between, 3 when a fourth does.
     *
     * @param  non-empty-list<int>  $keys
     */
    private static function third(array $keys, int $i, Hand $hand): int
    {
        // An octave lies from thumb to thumb.
        $next = isset($keys[$i + 1]) ? $keys[$i + 1] : ($keys[$i - 2] ?? $keys[$i] ?? 0) + 12;
        $gap = $next - ($keys[$i] ?? 0);
        $isBlackThird = $hand === Hand::Left && $gap === 4 && Strike::isBlack($keys[$i] ?? 0) && $i > 0 && ! Strike::isBlack($keys[$i - 1] ?? 0);

        return $gap >= 5 || $isBlackThird ? 3 : 4;
    }
}

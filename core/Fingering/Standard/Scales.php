<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Standard;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;

/** A run by step that leaves the five-finger position: the fingers of its scale, wherever in the scale it begins (trade 4.7). */
final readonly class Scales
{
    /** A run of six keys takes the thumb under as one of eight does. */
    public const LEAST = 6;

    private const WEIGHT = 14;

    /** Of a note that turns back into the run. */
    public const TURN_WEIGHT = 10;

    private const STARTS_ON_TONIC = 5;

    private const ENDS_ON_TONIC = 4;

    private const TONIC_OF_KEY = 4;

    private const RELATIVE = 2;

    /**
     * @param  non-empty-list<Strike>  $run  single notes, by letters in one direction
     * @return list<StandardFingers>|null from the thumb outwards; null when it is of no scale
     */
    public static function fingers(array $run, Hand $hand, Key $key): ?array
    {
        $scale = self::scale($run, $hand, $key);
        if ($scale === null) {
            return null;
        }
        [$tonic, $name, $table] = $scale;
        $fingers = array_map(static fn (Strike $strike): int => $table[(($hand->direction() * $strike->letters[0] - $tonic) % 7 + 7) % 7] ?? 0, $run);
        [$fingers, $others] = self::ends($fingers, Strike::isBlack($run[count($run) - 1]->keys[0]));

        return array_map(static fn (int $finger, int $other): StandardFingers => new StandardFingers($name, $finger, $other, self::WEIGHT), $fingers, $others);
    }

    /**
     * At the outer end the fingers go on from the last thumb as far as the hand has them, the little finger on white keys
     * alone; one note before the first thumb takes finger 2 rather than 4.
     *
     * @param  non-empty-list<int>  $fingers  outwards
     * @return array{list<int>, list<int>} the fingers, and those of the other standard
     */
    private static function ends(array $fingers, bool $endsOnBlack): array
    {
        $last = count($fingers) - 1;
        for ($thumb = max(0, $last - ($endsOnBlack ? 3 : 4)); $thumb <= $last; $thumb++) {
            if ($fingers[$thumb] === 1) {
                for ($i = $thumb; $i <= $last; $i++) {
                    $fingers[$i] = $i - $thumb + 1;
                }
                break;
            }
        }
        $others = $fingers;
        $first = (int) array_search(1, $fingers, true);
        for ($i = 0; $i < $first; $i++) {
            $others[$i] = $i + 2;
        }
        if ($first === 1 && $fingers[0] === 4) {
            [$fingers[0], $others[0]] = [2, 4];
        }

        return [array_values($fingers), array_values($others)];
    }

    /**
     * @param  non-empty-list<Strike>  $run
     * @return array{int, string, list<int>}|null the letter of the tonic, the scale's name, its fingers by degree
     */
    private static function scale(array $run, Hand $hand, Key $key): ?array
    {
        $pitches = [];
        foreach ($run as $strike) {
            $letter = ($hand->direction() * $strike->letters[0] % 7 + 7) % 7;
            $class = abs($strike->keys[0]) % 12;
            if (($pitches[$letter] ?? $class) !== $class) {
                return null;
            }
            $pitches[$letter] = $class;
        }
        $low = $hand === Hand::Right ? $run[0] : $run[count($run) - 1];
        $high = $hand === Hand::Right ? $run[count($run) - 1] : $run[0];
        $best = null;
        $most = -1;
        for ($tonic = 0; $tonic < 7; $tonic++) {
            $class = $pitches[$tonic] ?? (Pitch::ofDiatonic(28 + $tonic, $key->alters($tonic))->midi() % 12);
            foreach (ScaleKind::cases() as $kind) {
                if (! self::holds($pitches, $tonic, $class, $kind)) {
                    continue;
                }
                $doTonic = $key->doStep();
                $own = $kind->isMinor() ? ($doTonic + 5) % 7 : $doTonic;
                $rank = ($tonic === $own ? ($kind->isMinor() === $key->minor ? self::TONIC_OF_KEY : self::RELATIVE) : 0)
                    + (self::isOn($low, $hand, $tonic) ? self::STARTS_ON_TONIC : 0)
                    + (self::isOn($high, $hand, $tonic) ? self::ENDS_ON_TONIC : 0);
                if ($rank > $most) {
                    $most = $rank;
                    $best = [$tonic, self::spelled($tonic, $class)." {$kind->value} scale", ScaleTable::fingers($class, $kind, $hand)];
                }
            }
        }

        return $best;
    }

    private static function isOn(Strike $strike, Hand $hand, int $tonic): bool
    {
        return ($hand->direction() * $strike->letters[0] % 7 + 7) % 7 === $tonic;
    }

    /** @param array<int, int> $pitches keys from C by letter */
    private static function holds(array $pitches, int $tonic, int $class, ScaleKind $kind): bool
    {
        foreach ($kind->halfSteps() as $degree => $halfSteps) {
            $is = $pitches[($tonic + $degree) % 7] ?? null;
            if ($is !== null && $is !== ($class + $halfSteps) % 12) {
                return false;
            }
        }

        return true;
    }

    /** @param int $class key from C */
    public static function spelled(int $letter, int $class): string
    {
        $alter = (($class - Pitch::ofDiatonic(28 + $letter)->midi() % 12) % 12 + 18) % 12 - 6;

        return (new Pitch($letter, 4, max(-2, min(2, $alter))))->spelled();
    }
}

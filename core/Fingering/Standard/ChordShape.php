<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Standard;

use Nasturtium\Core\Fingering\Keys\Strike;

/** The standard fingers of a chord of three or four keys within an octave, blocked or broken (trade 4.7). */
final readonly class ChordShape
{
    /** By the letters from key to key, outwards from the thumb: the fingers, and those of another school. */
    private const SHAPES = [
        '2 2' => ['135', '135'],
        '2 3' => ['125', '125'],
        '3 2' => ['135', '135'],
        '4 1' => ['145', '145'],
        '1 4' => ['125', '125'],
        '3 4' => ['125', '125'],
        '4 3' => ['125', '135'],
        '2 5' => ['125', '125'],
        '5 2' => ['145', '135'],
        '2 2 3' => ['1235', '1235'],
        '2 3 2' => ['1245', '1235'],
        '3 2 2' => ['1245', '1235'],
        '2 2 2' => ['1235', '1245'],
        '2 2 1' => ['1245', '1235'],
        '2 1 2' => ['1235', '1245'],
        '1 2 2' => ['1235', '1245'],
    ];

    private const TRIADS = ['4 7' => 'major', '3 7' => 'minor', '3 6' => 'diminished', '4 8' => 'augmented'];

    private const INVERSIONS = ['', ', first inversion', ', second inversion', ', third inversion'];

    /**
     * @param  list<int>  $fingers  outwards
     * @param  list<int>  $or
     */
    private function __construct(public string $name, public array $fingers, public array $or) {}

    /**
     * @param  list<int>  $keys  outwards, as a Strike has them
     * @param  list<int>  $letters
     */
    public static function of(array $keys, array $letters): ?self
    {
        $count = count($keys);
        if ($count < 3 || $count > 4) {
            return null;
        }
        $gaps = [];
        for ($i = 1; $i < $count; $i++) {
            $gaps[] = ($letters[$i] ?? 0) - ($letters[$i - 1] ?? 0);
        }
        $shape = self::SHAPES[implode(' ', $gaps)] ?? null;
        $name = $shape === null ? null : self::name($keys, $letters);
        if ($shape === null || $name === null) {
            return null;
        }
        [$fingers, $or] = array_map(static fn (string $row): array => array_map(intval(...), str_split($row)), $shape);
        if (self::prefersThird($keys, $gaps)) {
            [$fingers, $or] = [$or, $fingers];
        }

        return new self($name, $fingers, $or);
    }

    /**
     * Of the left hand's chord with its root at both ends: a black major third lies under 3; a seventh lies under 4 and 2.
     *
     * @param  list<int>  $keys
     * @param  list<int>  $gaps
     */
    private static function prefersThird(array $keys, array $gaps): bool
    {
        if (($keys[0] ?? 0) > 0 || count($keys) !== 4) {
            return false;
        }

        return $gaps === [2, 2, 2] || ($gaps === [3, 2, 2] && Strike::isBlack($keys[2]) && ! Strike::isBlack($keys[1]) && $keys[3] - $keys[2] === 4);
    }

    /**
     * A triad or a dominant seventh: what a tune breaks. Other sevenths are mostly four notes of a tune and no chord.
     *
     * @param  list<int>  $keys
     * @param  list<int>  $letters
     */
    public static function isFigure(array $keys, array $letters): bool
    {
        $name = self::name($keys, $letters);

        return $name !== null && (! str_contains($name, 'seventh') || str_contains($name, 'dominant'));
    }

    /**
     * @param  list<int>  $keys
     * @param  list<int>  $letters
     * @return string|null null when its letters are no chord of thirds
     */
    public static function name(array $keys, array $letters): ?string
    {
        $classes = [];
        foreach ($keys as $i => $key) {
            $classes[(abs($letters[$i] ?? 0) % 7)] = abs($key) % 12;
        }
        $bass = abs(($keys[0] ?? 0) > 0 ? $letters[0] ?? 0 : $letters[count($letters) - 1] ?? 0) % 7;
        foreach ($classes as $root => $class) {
            $degrees = [];
            foreach ($classes as $letter => $of) {
                $degrees[(($letter - $root) % 7 + 7) % 7] = (($of - $class) % 12 + 12) % 12;
            }
            if (array_diff(array_keys($degrees), [0, 2, 4, 6]) !== [] || (! isset($degrees[2]) && ! isset($degrees[4]))) {
                continue;
            }
            $place = intdiv((($bass - $root) % 7 + 7) % 7, 2);

            return Scales::spelled($root, $class).' '.self::quality($degrees).(self::INVERSIONS[$place] ?? '');
        }

        return null;
    }

    /** @param array<int, int> $degrees half steps above the root, by letters above it */
    private static function quality(array $degrees): string
    {
        if (! isset($degrees[2])) {
            return 'fifth';
        }
        if (isset($degrees[6])) {
            return $degrees[2] === 4 && $degrees[6] === 10 ? 'dominant seventh chord' : 'seventh chord';
        }
        $third = $degrees[2];
        $fifth = $degrees[4] ?? 7;

        return (self::TRIADS["{$third} {$fifth}"] ?? 'altered').' chord';
    }
}

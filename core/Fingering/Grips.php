<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Fingering\Standard\ChordShape;

/** Every way for a hand to lie on a strike that is worth a thought, with what it costs (trade 4.2). */
final class Grips
{
    /** A black key under the thumb, and under the little finger, of a single note. */
    private const THUMB_ON_BLACK = 3;

    private const FIFTH_ON_BLACK = 1;

    /** A chord that no hand reaches is rolled. */
    private const ROLLED = 20;

    /** Of a chord that has its standard fingers, any others. */
    private const NOT_STANDARD = 5;

    /** So many of a chord are tried; those that cost more lie too badly. */
    private const TRIED = 5;

    /** @var array<int, list<non-empty-list<int>>> fingers by how many there are */
    private static array $choices = [];

    public function __construct(private readonly Reach $reach) {}

    /** @return non-empty-list<Grip>|null the fingers that are set obeyed; null when no hand can do it */
    public function obeying(Strike $strike): ?array
    {
        $grips = [];
        foreach ($this->fingers($strike) as $fingers) {
            foreach ($strike->set as $i => $set) {
                if ($set !== null && $set !== $fingers[$i]) {
                    continue 2;
                }
            }
            $grips[] = new Grip($strike->keys, $strike->letters, $fingers, $this->cost($strike, $fingers));
        }

        return self::best($grips);
    }

    /** @return non-empty-list<Grip> whatever is set */
    public function any(Strike $strike): array
    {
        $grips = array_map(fn (array $fingers): Grip => new Grip($strike->keys, $strike->letters, $fingers, $this->cost($strike, $fingers)), $this->fingers($strike));

        return self::best($grips) ?? throw new \LogicException('a strike always has a grip');
    }

    /**
     * @param  list<Grip>  $grips
     * @return non-empty-list<Grip>|null
     */
    private static function best(array $grips): ?array
    {
        if ($grips !== [] && count($grips[0]->keys) > 1) {
            usort($grips, static fn (Grip $a, Grip $b): int => $a->cost <=> $b->cost);
            $grips = array_slice($grips, 0, self::TRIED);
        }

        return $grips === [] ? null : $grips;
    }

    /** @return list<non-empty-list<int>> each rising outwards */
    private function fingers(Strike $strike): array
    {
        $count = count($strike->keys);
        if ($count > 5) {
            // The thumb takes the two nearest to it; what is more than that is not for one hand.
            return [array_map(static fn (int $i): int => max(1, 5 - ($count - 1 - $i)), range(0, $count - 1))];
        }

        return self::$choices[$count] ??= self::choices($count, 1);
    }

    /** @return list<non-empty-list<int>> */
    private static function choices(int $count, int $from): array
    {
        $choices = [];
        for ($finger = $from; $finger <= 5 - $count + 1; $finger++) {
            foreach ($count === 1 ? [[]] : self::choices($count - 1, $finger + 1) as $others) {
                $choices[] = [$finger, ...$others];
            }
        }

        return $choices;
    }

    /** @param non-empty-list<int> $fingers */
    private function cost(Strike $strike, array $fingers): int
    {
        if ($strike->isSingle()) {
            return match (true) {
                ! Strike::isBlack($strike->keys[0]) => 0,
                $fingers[0] === 1 => self::THUMB_ON_BLACK,
                $fingers[0] === 5 => self::FIFTH_ON_BLACK,
                default => 0,
            };
        }
        $shape = ChordShape::of($strike->keys, $strike->letters);
        if ($shape !== null && in_array($fingers, [$shape->fingers, $shape->or], true)) {
            return $fingers === $shape->fingers ? 0 : 2;
        }
        $cost = $shape === null ? 0 : self::NOT_STANDARD;
        $last = count($fingers) - 1;
        for ($i = 0; $i < $last; $i++) {
            $cost += $this->pair($strike, $fingers, $i, $i + 1);
            $cost += abs($strike->letters[$i + 1] - $strike->letters[$i] - $fingers[$i + 1] + $fingers[$i]);
        }

        return $cost + ($last > 1 ? $this->pair($strike, $fingers, 0, $last) : 0);
    }

    /** @param non-empty-list<int> $fingers */
    private function pair(Strike $strike, array $fingers, int $i, int $j): int
    {
        [$a, $b] = [$fingers[$i] ?? 0, $fingers[$j] ?? 0];
        $halfSteps = ($strike->keys[$j] ?? 0) - ($strike->keys[$i] ?? 0);

        return $a === $b ? self::ROLLED : $this->reach->strain($a, $b, $halfSteps) ?? self::ROLLED + $halfSteps;
    }
}

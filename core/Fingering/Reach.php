<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

/**
 * How far two fingers lie apart in half steps, and how it feels: relaxed, comfortable, practical (trade 4.6). Negative
 * is where the thumb has passed under the other finger.
 */
final readonly class Reach
{
    public const RELAXED = 0;

    public const COMFORTABLE = 2;

    public const PRACTICAL = 5;

    /** Least practical, comfortable and relaxed, then most relaxed, comfortable and practical, by the two fingers as 10 × lower + higher. */
    private const SPANS = [
        12 => [-5, -3, 1, 5, 8, 10],
        13 => [-4, -2, 3, 7, 10, 12],
        14 => [-3, -1, 5, 9, 12, 14],
        15 => [-1, 1, 7, 10, 13, 15],
        23 => [1, 1, 1, 2, 3, 5],
        24 => [1, 1, 3, 4, 5, 7],
        25 => [2, 2, 5, 6, 8, 10],
        34 => [1, 1, 1, 2, 2, 4],
        35 => [1, 1, 3, 4, 5, 7],
        45 => [1, 1, 1, 2, 3, 5],
    ];

    /** What a small hand has less of at the far end: the pairs of the thumb and 2–5, and the others. */
    private const LESS = [12 => 2, 13 => 2, 14 => 2, 15 => 2, 25 => 2];

    /** @param array<int, array{int, int, int, int, int, int}> $spans */
    private function __construct(private array $spans) {}

    public static function usual(): self
    {
        return new self(self::SPANS);
    }

    /** The hand of a child under ten whose span nobody has measured. */
    public static function small(): self
    {
        $spans = [];
        foreach (self::SPANS as $pair => [$a, $b, $c, $relaxed, $comfortable, $practical]) {
            $less = self::LESS[$pair] ?? 1;
            $spans[$pair] = [$a, $b, $c, $relaxed, max($relaxed, $comfortable - $less), max($relaxed, $practical - $less)];
        }

        return new self($spans);
    }

    /**
     * @param  int  $lower  of the two fingers
     * @param  int  $higher  finger
     * @param  int  $halfSteps  from the key of the lower to that of the higher, outwards from the thumb
     * @return int|null what it costs to lie so; null where no hand does
     */
    public function strain(int $lower, int $higher, int $halfSteps): ?int
    {
        [$leastPractical, $leastComfortable, $leastRelaxed, $relaxed, $comfortable, $practical] = $this->spans[10 * $lower + $higher] ?? throw new \LogicException("fingers {$lower} and {$higher} are no pair");

        return match (true) {
            $halfSteps > $practical, $halfSteps < $leastPractical => null,
            $halfSteps > $comfortable, $halfSteps < $leastComfortable => self::PRACTICAL,
            $halfSteps > $relaxed => self::COMFORTABLE,
            $halfSteps < $leastRelaxed => 1,
            default => self::RELAXED,
        };
    }
}

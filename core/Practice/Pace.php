<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Fraction;

/** Pages signed off per lesson week, and when the book will end, as a range (trade 12.5). */
final readonly class Pace
{
    /** Lesson weeks that are looked at. */
    public const WEEKS = 8;

    private function __construct(
        public Fraction $median,
        public Fraction $slow,
        public Fraction $fast,
    ) {}

    /**
     * @param  non-empty-list<int>  $pages  signed off in each of the last lesson weeks
     */
    public static function of(array $pages): self
    {
        $last = array_slice($pages, -self::WEEKS);
        sort($last);

        return new self(self::at($last, 50), self::at($last, 25), self::at($last, 75));
    }

    /**
     * How many lesson weeks the rest of a book takes.
     *
     * @param  int  $left  pages, those that are skipped left out
     * @return array{int|null, int|null} at best and at worst; null where at that pace it does not end
     */
    public function weeksFor(int $left): array
    {
        $weeks = static fn (Fraction $pace): ?int => $left === 0 ? 0 : ($pace->isZero() ? null : Fraction::of($left)->dividedBy($pace)->ceil());

        return [$weeks($this->fast), $weeks($this->slow)];
    }

    /** @param list<int> $sorted */
    private static function at(array $sorted, int $percent): Fraction
    {
        $place = Fraction::of((count($sorted) - 1) * $percent, 100);
        $below = $sorted[$place->floor()] ?? 0;
        $above = $sorted[$place->floor() + 1] ?? $below;

        return Fraction::of($below)->plus($place->part()->times(Fraction::of($above - $below)));
    }
}

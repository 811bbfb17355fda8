<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Trial;

use Nasturtium\Core\Practice\Answer;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Any card with the same chance, never two equal ones in a row. */
final class RandomChoosing implements Choosing
{
    private readonly Randomizer $chance;

    private ?string $last = null;

    /** @param list<string> $cards */
    public function __construct(private readonly array $cards, int $seed)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
    }

    public function begin(int $now, int $seconds): void {}

    public function next(bool $isOver): ?string
    {
        if ($isOver) {
            return null;
        }
        $others = array_values(array_filter($this->cards, fn (string $card): bool => $card !== $this->last));

        return $others[$this->chance->getInt(0, count($others) - 1)];
    }

    public function take(string $card, Answer $answer): void
    {
        $this->last = $card;
    }
}

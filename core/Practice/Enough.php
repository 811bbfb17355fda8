<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** The thresholds of drills: when a card is secure, and when a new one joins (trade 10.2 and 15.2). */
final readonly class Enough
{
    public const ANSWERS = 10;

    public const RIGHT = 90;

    public const WITHIN = 3_000;

    public const JOIN = 5;

    /**
     * @param  int  $answers  that are looked at, and that it takes at least
     * @param  int  $right  of a hundred, at least
     * @param  int  $within  milliseconds: the median of those answers, and each of the last before a new card joins
     * @param  int  $join  right answers in a row on each card before a new one joins
     */
    public function __construct(
        public int $answers = self::ANSWERS,
        public int $right = self::RIGHT,
        public int $within = self::WITHIN,
        public int $join = self::JOIN,
    ) {}

    /** @param list<Answer> $all in their order */
    public function isSecure(array $all): bool
    {
        if (! $this->isRight($all)) {
            return false;
        }

        return Median::of(array_map(static fn (Answer $answer): int => $answer->milliseconds, array_slice($all, -$this->answers))) <= $this->within;
    }

    /**
     * Right often enough, however slowly.
     *
     * @param  list<Answer>  $all  in their order
     */
    public function isRight(array $all): bool
    {
        $last = array_slice($all, -$this->answers);
        $right = count(array_filter($last, static fn (Answer $answer): bool => $answer->right));

        return count($last) === $this->answers && 100 * $right >= $this->right * count($last);
    }

    /**
     * The last answers are right and in time.
     *
     * @param  list<Answer>  $all  in their order
     */
    public function isReady(array $all): bool
    {
        $last = array_slice($all, -$this->join);
        foreach ($last as $answer) {
            if (! $answer->right || $answer->milliseconds > $this->within) {
                return false;
            }
        }

        return count($last) === $this->join;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Practice\Answer;

/**
 * How long a card is remembered, as far as its answers tell: after its half-life it is known half of the times
 * (trade 15.2). A right answer after a rest lengthens it much, one of the same sitting little; a wrong one halves it. So
 * a card comes back tomorrow, in three days, in a week.
 */
final readonly class Memory
{
    /** Minutes. */
    private const AT_FIRST = 1_440;

    private const LEAST = 10;

    /** Two years: after that it does not matter. */
    private const MOST = 1_051_200;

    /** Answers that lie closer together than so many seconds are of one sitting. */
    private const SITTING = 600;

    /** A rest after which an answer tells of the memory: seconds. */
    private const RESTED = 43_200;

    /** So many such answers are looked at, and so many it takes. */
    private const LOOKED_AT = 30;

    private const TAKES = 10;

    /** Percent of the usual half-life, by percent of right answers after a rest. */
    private const OWN = [90 => 130, 80 => 100, 65 => 80, 0 => 60];

    /** @param int $percent of the usual, that this student remembers */
    private function __construct(private int $percent) {}

    /** @param iterable<list<Answer>> $cards all answers of a student, by card, each in its order */
    public static function of(iterable $cards): self
    {
        $rested = [];
        foreach ($cards as $answers) {
            foreach ($answers as $i => $answer) {
                if ($i > 0 && $answer->at - $answers[$i - 1]->at >= self::RESTED) {
                    $rested[] = [$answer->at, $answer->right];
                }
            }
        }
        sort($rested);
        $rested = array_slice($rested, -self::LOOKED_AT);
        if (count($rested) < self::TAKES) {
            return new self(100);
        }
        $right = intdiv(100 * count(array_filter($rested, static fn (array $one): bool => $one[1])), count($rested));
        foreach (self::OWN as $least => $percent) {
            if ($right >= $least) {
                return new self($percent);
            }
        }

        return new self(100);
    }

    /**
     * The half-life of a card.
     *
     * @param  list<Answer>  $answers  in their order
     * @return int minutes
     */
    public function halfLife(array $answers): int
    {
        $minutes = self::AT_FIRST;
        $before = null;
        foreach ($answers as $answer) {
            $isRested = $before === null || $answer->at - $before >= self::SITTING;
            $minutes = match (true) {
                ! $answer->right => intdiv($minutes, 2),
                $isRested => intdiv($minutes * 11, 5),
                default => intdiv($minutes * 11, 10),
            };
            $minutes = max(self::LEAST, min(self::MOST, $minutes));
            $before = $answer->at;
        }

        return max(self::LEAST, intdiv($minutes * $this->percent, 100));
    }

    /**
     * How far a card is forgotten: a thousand is one half-life since it was asked last.
     *
     * @param  list<Answer>  $answers  in their order
     */
    public function forgotten(array $answers, int $now): int
    {
        $last = $answers === [] ? null : $answers[count($answers) - 1];

        return $last === null ? PHP_INT_MAX : intdiv(1_000 * intdiv(max(0, $now - $last->at), 60), $this->halfLife($answers));
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Trial;

/** What trials of one way of choosing came to. */
final class TrialFigures
{
    /** @var list<int> */
    private array $answers = [];

    /** @var list<int> */
    private array $days = [];

    /** Learners whose notes all became secure. */
    public int $there = 0;

    private int $right = 0;

    private int $later = 0;

    private int $laterRight = 0;

    private int $first = 0;

    private int $firstRight = 0;

    public function add(Trial $trial): void
    {
        $this->answers[] = $trial->answers;
        $this->days[] = $trial->days;
        $this->there += $trial->isThere ? 1 : 0;
        $this->right += $trial->right;
        $this->later += $trial->later;
        $this->laterRight += $trial->laterRight;
        $this->first += $trial->first;
        $this->firstRight += $trial->firstRight;
    }

    public function mean(): float
    {
        return array_sum($this->answers) / max(1, count($this->answers));
    }

    public function median(): int
    {
        return self::middle($this->answers);
    }

    public function medianDays(): int
    {
        return self::middle($this->days);
    }

    /** Percent of all answers. */
    public function right(): float
    {
        return 100 * $this->right / max(1, array_sum($this->answers));
    }

    /** Percent of the answers after ten notes were secure. */
    public function laterRight(): float
    {
        return 100 * $this->laterRight / max(1, $this->later);
    }

    /** Percent of the first answers to each card on a day. */
    public function firstRight(): float
    {
        return 100 * $this->firstRight / max(1, $this->first);
    }

    /** @param list<int> $numbers */
    private static function middle(array $numbers): int
    {
        sort($numbers);

        return $numbers[intdiv(count($numbers), 2)] ?? 0;
    }
}

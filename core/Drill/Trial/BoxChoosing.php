<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Trial;

use Nasturtium\Core\Practice\Answer;

/**
 * Five boxes: a card begins in the first, goes on to the next when it was right and back to the first when it was wrong. The
 * boxes are due in every session, every second, fourth, eighth and sixteenth; lower boxes first, in each whoever was asked
 * longest ago. When nothing is due the lowest box goes on.
 */
final class BoxChoosing implements Choosing
{
    private const LAST_BOX = 5;

    /** @var array<string, int> from 1 */
    private array $box;

    /** @var array<string, int> the session a card was asked in last */
    private array $session;

    /** @var array<string, int> its place among all that was asked */
    private array $asked;

    private int $sessions = 0;

    private int $count = 0;

    private ?string $last = null;

    /** @param list<string> $cards */
    public function __construct(array $cards)
    {
        $this->box = array_fill_keys($cards, 1);
        $this->session = array_fill_keys($cards, 0);
        $this->asked = array_fill_keys($cards, 0);
    }

    public function begin(int $now, int $seconds): void
    {
        $this->sessions++;
    }

    public function next(bool $isOver): ?string
    {
        if ($isOver) {
            return null;
        }
        $best = null;
        $least = [PHP_INT_MAX, 0, 0];
        foreach ($this->box as $card => $box) {
            $isDue = $box === 1 || $this->sessions - $this->session[$card] >= 2 ** ($box - 1);
            $rank = [$isDue ? 0 : 1, $box, $this->asked[$card]];
            if ($card !== $this->last && $rank < $least) {
                [$best, $least] = [$card, $rank];
            }
        }

        return $best;
    }

    public function take(string $card, Answer $answer): void
    {
        $this->box[$card] = $answer->right ? min(self::LAST_BOX, $this->box[$card] + 1) : 1;
        $this->session[$card] = $this->sessions;
        $this->asked[$card] = ++$this->count;
        $this->last = $card;
    }
}

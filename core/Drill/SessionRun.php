<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Practice\Answer;

/**
 * Runs a session: which card is next, from the answers so far. It decides nothing by chance and knows nothing of music;
 * the browser runs the same by the same data (resources/js/practice/run.ts), and both are held to the same answers.
 */
final class SessionRun
{
    /** @var list<string> cards that are being learnt, whoever was asked longest ago first */
    private array $learning;

    /** @var list<string> */
    private array $joining;

    /** @var list<string> likewise */
    private array $known;

    /** @var array<string, list<Answer>> */
    private array $answers;

    /** @var array<string, array{int, int}> cards that were missed: how often they came back, and at which card they are due */
    private array $returning = [];

    private ?string $last = null;

    /** Cards that were asked. */
    private int $asked = 0;

    /** Known ones of them, before the end. */
    private int $knownAsked = 0;

    private int $closed = 0;

    public function __construct(private readonly Session $session)
    {
        $this->learning = $session->learning;
        $this->joining = $session->joining;
        $this->known = $session->known;
        $this->answers = $session->before;
    }

    /**
     * @param  bool  $isOver  the time is over: the last cards follow
     * @return ?string null when the session has ended
     */
    public function next(bool $isOver = false): ?string
    {
        if (! $isOver && $this->closed === 0) {
            return $this->due() ?? $this->known() ?? $this->learning() ?? $this->firstOf($this->known) ?? $this->firstOf($this->joining);
        }
        if ($this->closed >= Session::CLOSING) {
            return null;
        }
        $this->closed++;

        return $this->firstOf($this->known) ?? $this->best();
    }

    public function answer(string $card, Answer $answer): void
    {
        $this->asked++;
        if (in_array($card, $this->known, true) && $this->closed === 0) {
            $this->knownAsked++;
        }
        $this->last = $card;
        $this->answers[$card][] = $answer;
        $this->comeBack($card, $answer->right);
        $this->settle($card);
        if ($this->joining !== [] && $this->allReady()) {
            array_unshift($this->learning, array_shift($this->joining));
        }
    }

    /** It comes back after a few other cards, each time after more; wrong again, it begins anew. */
    private function comeBack(string $card, bool $right): void
    {
        $times = $right ? ($this->returning[$card][0] ?? -1) + 1 : 0;
        if ($right && ! isset($this->returning[$card])) {
            return;
        }
        unset($this->returning[$card]);
        if (isset(Session::RETURNS[$times])) {
            $this->returning[$card] = [$times, $this->asked + Session::RETURNS[$times]];
        }
    }

    /** A card goes to the end of its row; one that has become secure to the end of those that are known. */
    private function settle(string $card): void
    {
        $isKnown = in_array($card, $this->known, true) || $this->session->enough->isSecure($this->answers[$card] ?? []);
        $this->known = self::without($this->known, $card);
        $this->learning = self::without($this->learning, $card);
        $this->joining = self::without($this->joining, $card);
        if ($isKnown) {
            $this->known[] = $card;
        } else {
            $this->learning[] = $card;
        }
    }

    private function allReady(): bool
    {
        foreach ($this->learning as $card) {
            if (! $this->session->enough->isReady($this->answers[$card] ?? [])) {
                return false;
            }
        }

        return true;
    }

    /** One that was missed and is due, the earliest first. */
    private function due(): ?string
    {
        $due = array_filter($this->returning, fn (array $of, string $card): bool => $of[1] <= $this->asked && $card !== $this->last, ARRAY_FILTER_USE_BOTH);
        uasort($due, static fn (array $a, array $b): int => $a[1] <=> $b[1]);

        return array_key_first($due);
    }

    /** A known one, when fewer of them were asked than their share is. */
    private function known(): ?string
    {
        return 10 * $this->knownAsked < $this->session->share * $this->asked ? $this->firstOf($this->known) : null;
    }

    /** The one that was asked longest ago; after one that is confused with another, the other. */
    private function learning(): ?string
    {
        $pair = $this->last === null ? null : $this->session->pairs[$this->last] ?? null;

        return $pair !== null && in_array($pair, $this->learning, true) && array_search($pair, $this->learning, true) < count($this->learning) - 2
            ? $pair
            : $this->firstOf($this->learning);
    }

    /** Where nothing is known yet, the last cards are those that went best. */
    private function best(): ?string
    {
        $best = null;
        $most = -1;
        foreach ($this->learning as $card) {
            $right = 0;
            for ($all = $this->answers[$card] ?? []; $all !== [] && $all[count($all) - 1]->right; array_pop($all)) {
                $right++;
            }
            if ($card !== $this->last && $right > $most) {
                [$best, $most] = [$card, $right];
            }
        }

        return $best;
    }

    /** @param list<string> $cards */
    private function firstOf(array $cards): ?string
    {
        return ($cards[0] ?? null) === $this->last ? $cards[1] ?? null : $cards[0] ?? null;
    }

    /**
     * @param  list<string>  $cards
     * @return list<string>
     */
    private static function without(array $cards, string $card): array
    {
        return array_values(array_filter($cards, static fn (string $one): bool => $one !== $card));
    }
}

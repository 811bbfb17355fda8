<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Practice\Answer;
use Nasturtium\Core\Practice\Enough;
use Nasturtium\Core\Reading\NoteStatus;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Chooses the cards of a session (trade 15.2). The same deck, moment and seed give the same session. */
final readonly class ChooseCards
{
    /** Cards that are not secure at the start of a session, and of the very first one. */
    private const AT_THE_START = 3;

    private const VERY_FIRST = 2;

    /** So many more may join: nobody comes farther in one session. */
    private const JOINING = 9;

    /** From so many secure cards on, their share keeps success where it should be. */
    private const ENOUGH_SECURE = 10;

    /** Answers of late that success is measured by. */
    private const OF_LATE = 40;

    /** Of ten cards so many are known ones, by percent of right answers: more where it is hard, hardly any where it is easy. */
    private const SHARES = [90 => 1, 85 => 2, 80 => 4, 0 => 6];

    /** The share until then. */
    private const USUAL_SHARE = 1;

    public function __construct(private Enough $enough = new Enough()) {}

    /**
     * @param  int  $now  seconds, counted as those of the answers
     * @param  int  $seconds  that the session lasts
     */
    public function __invoke(Deck $deck, int $now, int $seed, int $seconds): Session
    {
        $memory = Memory::of($deck->answers);
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        /** @var list<string> $mixed */
        $mixed = $chance->shuffleArray($deck->cards);
        $forgotten = [];
        foreach ($mixed as $card) {
            $forgotten[$card] = $memory->forgotten($deck->answers($card), $now);
        }
        arsort($forgotten);
        [$known, $met, $slow] = [[], [], []];
        foreach (array_keys($forgotten) as $card) {
            match ($deck->status($card)) {
                NoteStatus::Secure => $known[] = (string) $card,
                NoteStatus::Shaky => $this->enough->isRight($deck->answers((string) $card)) ? $slow[] = (string) $card : $met[] = (string) $card,
                NoteStatus::Fresh => null,
            };
        }
        $new = array_values(array_filter($deck->cards, static fn (string $card): bool => $deck->status($card) === NoteStatus::Fresh));
        $pairs = self::pairs($deck, $met);
        // Whoever is right but slow waits for nobody: what is new comes before more of the same.
        $open = $deck->isFirst() ? $deck->cards : [...self::withPairs($met, $pairs), ...$new, ...$slow];
        $start = $deck->isFirst() ? self::VERY_FIRST : self::AT_THE_START;

        return new Session(
            $seconds,
            array_slice($open, 0, $start),
            array_slice($open, $start, self::JOINING),
            $known,
            $this->share($deck, count($known)),
            array_map(fn (array $answers): array => array_slice($answers, -$this->enough->answers), array_intersect_key($deck->answers, array_flip($deck->cards))),
            $pairs,
            $this->enough,
        );
    }

    private function share(Deck $deck, int $known): int
    {
        if ($known < self::ENOUGH_SECURE) {
            return self::USUAL_SHARE;
        }
        $all = array_merge(...array_values($deck->answers));
        usort($all, static fn (Answer $a, Answer $b): int => $a->at <=> $b->at);
        $late = array_slice($all, -self::OF_LATE);
        $right = intdiv(100 * count(array_filter($late, static fn (Answer $answer): bool => $answer->right)), max(1, count($late)));
        foreach (self::SHARES as $least => $share) {
            if ($right >= $least) {
                return $share;
            }
        }

        return self::USUAL_SHARE;
    }

    /**
     * Pairs of which both are learnt now, each card in one of them.
     *
     * @param  list<string>  $met
     * @return array<string, string>
     */
    private static function pairs(Deck $deck, array $met): array
    {
        $pairs = [];
        foreach ($deck->confused as [$one, $other]) {
            if (in_array($one, $met, true) && in_array($other, $met, true) && ! isset($pairs[$one]) && ! isset($pairs[$other])) {
                $pairs[$one] = $other;
                $pairs[$other] = $one;
            }
        }

        return $pairs;
    }

    /**
     * The other one of a pair comes right after the first.
     *
     * @param  list<string>  $cards
     * @param  array<string, string>  $pairs
     * @return list<string>
     */
    private static function withPairs(array $cards, array $pairs): array
    {
        $order = [];
        foreach ($cards as $card) {
            foreach (isset($pairs[$card]) ? [$card, $pairs[$card]] : [$card] as $one) {
                $order[$one] = $one;
            }
        }

        return array_values($order);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Trial;

use Nasturtium\Core\Practice\Answer;
use Nasturtium\Core\Practice\Enough;

/** A learner and a way of choosing, until twenty notes have become secure (trade 15.3). */
final readonly class Trial
{
    private const SECONDS = 120;

    private const DAY = 86_400;

    private const DAYS = 3_000;

    /** Whoever is not there by then is counted with so many answers. */
    public const MOST = 3_000;

    /** From so many secure notes on success is measured by itself. */
    private const ENOUGH_SECURE = 10;

    /**
     * @param  int  $answers  it took, or MOST
     * @param  int  $right  of them
     * @param  int  $later  of the answers after ten notes were secure
     * @param  int  $laterRight  of those
     * @param  int  $first  answers to a card that were its first of the day
     * @param  int  $firstRight  of those
     */
    private function __construct(public bool $isThere, public int $answers, public int $right, public int $later, public int $laterRight, public int $first, public int $firstRight, public int $days) {}

    /** @param list<Note> $notes */
    public static function run(Learner $learner, array $notes, Choosing $choosing): self
    {
        $notes = array_combine(array_map(static fn (Note $note): string => $note->name, $notes), $notes);
        $enough = new Enough();
        /** @var array<string, list<Answer>> $last */
        $last = [];
        $secure = [];
        $asked = [];
        [$count, $right, $later, $laterRight, $first, $firstRight] = [0, 0, 0, 0, 0, 0];
        for ($day = 0; $day < self::DAYS && $count < self::MOST && count($secure) < count($notes); $day++) {
            if ($day % 7 >= 5) {
                continue;
            }
            $now = $start = $day * self::DAY;
            $choosing->begin($start, self::SECONDS);
            $milliseconds = 0;
            while ($count < self::MOST && count($secure) < count($notes) && ($card = $choosing->next($milliseconds >= 1_000 * self::SECONDS)) !== null) {
                $answer = $learner->answer($notes[$card], $now);
                $milliseconds += $answer->milliseconds;
                $now = $start + intdiv($milliseconds, 1_000);
                $choosing->take($card, $answer);
                $count++;
                $right += $answer->right ? 1 : 0;
                if (($asked[$card] ?? -1) !== $day) {
                    $asked[$card] = $day;
                    $first++;
                    $firstRight += $answer->right ? 1 : 0;
                }
                if (count($secure) >= self::ENOUGH_SECURE) {
                    $later++;
                    $laterRight += $answer->right ? 1 : 0;
                }
                $last[$card] = array_slice([...($last[$card] ?? []), $answer], -$enough->answers);
                if ($enough->isSecure($last[$card])) {
                    $secure[$card] = true;
                }
            }
        }

        return new self(count($secure) === count($notes), $count, $right, $later, $laterRight, $first, $firstRight, $day);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Reading\NoteStatus;

/** How well a student knows a note, from all that tells of it (handbook 10). */
final readonly class NoteKnowledge
{
    /** Answers that are looked at for wrong ones. */
    private const LAST = 5;

    /**
     * @param  int  $answers  that it takes at least, and that are looked at
     * @param  int  $right  of a hundred, at least
     * @param  int  $median  milliseconds, at most
     * @param  int  $wrong  in the last five that make it shaky again
     * @param  int  $idle  days without anything that do
     */
    public function __construct(
        private int $answers = 10,
        private int $right = 90,
        private int $median = 3_000,
        private int $wrong = 2,
        private int $idle = 28,
    ) {}

    /**
     * @param  list<Evidence>  $evidence  in any order
     * @param  int  $today  counted as the days of the evidence are
     */
    public function status(array $evidence, int $today): NoteStatus
    {
        if ($evidence === []) {
            return NoteStatus::Fresh;
        }
        // Of one day, what went wrong at the lesson has the last word.
        usort($evidence, static fn (Evidence $a, Evidence $b): int => [$a->day, $a->kind === EvidenceKind::Slip] <=> [$b->day, $b->kind === EvidenceKind::Slip]);
        if ($today - $evidence[count($evidence) - 1]->day >= $this->idle) {
            return NoteStatus::Shaky;
        }
        $answers = [];
        $named = false;
        foreach ($evidence as $one) {
            if ($one->kind === EvidenceKind::RightAnswer || $one->kind === EvidenceKind::WrongAnswer) {
                $answers[] = $one;
                $named = $named && ! $this->isForgotten($answers);
            } elseif ($one->kind === EvidenceKind::Slip) {
                // What was answered before a slip proves nothing any more.
                $answers = [];
                $named = false;
            } else {
                $named = $named || $one->kind === EvidenceKind::Named;
            }
        }

        return $named || $this->isAnswered($answers) ? NoteStatus::Secure : NoteStatus::Shaky;
    }

    /** @param list<Evidence> $answers */
    private function isForgotten(array $answers): bool
    {
        $wrong = array_filter(array_slice($answers, -self::LAST), static fn (Evidence $one): bool => $one->kind === EvidenceKind::WrongAnswer);

        return count($wrong) >= $this->wrong;
    }

    /** @param list<Evidence> $answers */
    private function isAnswered(array $answers): bool
    {
        $last = array_slice($answers, -$this->answers);
        if (count($last) < $this->answers || $this->isForgotten($answers)) {
            return false;
        }
        $right = count(array_filter($last, static fn (Evidence $one): bool => $one->kind === EvidenceKind::RightAnswer));
        $times = array_map(static fn (Evidence $one): int => $one->milliseconds, $last);
        sort($times);
        $middle = intdiv(count($times), 2);
        $median = count($times) % 2 === 1 ? $times[$middle] : intdiv($times[$middle - 1] + $times[$middle], 2);

        return 100 * $right >= $this->right * count($last) && $median <= $this->median;
    }
}

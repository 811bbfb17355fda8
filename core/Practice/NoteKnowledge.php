<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Reading\NoteStatus;

/** How well a student knows a note, from all that tells of it (trade 10.1, 10.2). */
final readonly class NoteKnowledge
{
    /** Answers that are looked at for wrong ones. */
    private const LAST = 5;

    /**
     * @param  int  $wrong  in the last five that make it shaky again
     * @param  int  $idle  days without anything that do
     */
    public function __construct(
        private Enough $enough = new Enough(),
        private int $wrong = 2,
        private int $idle = 28,
    ) {}

    /**
     * @param  list<Evidence>  $evidence  in any order
     * @param  int  $today  counted as the days of the evidence are
     */
    public function status(array $evidence, int $today): NoteStatus
    {
        return $this->history($evidence, [max([$today, ...array_map(static fn (Evidence $one): int => $one->day, $evidence)])])[0];
    }

    /**
     * How well it was known on some days, each from what there was until then.
     *
     * @param  list<Evidence>  $evidence  in any order
     * @param  non-empty-list<int>  $days  in any order
     * @return non-empty-list<NoteStatus> one for each day
     */
    public function history(array $evidence, array $days): array
    {
        $order = self::inOrder($evidence);
        $known = array_fill(0, count($days), NoteStatus::Fresh);
        [$at, $last, $answers, $named] = [0, null, [], false];
        asort($days);
        foreach ($days as $place => $day) {
            for (; isset($order[$at]) && $order[$at]->day <= $day; $at++) {
                $last = $order[$at];
                [$answers, $named] = $this->after($last, $answers, $named);
            }
            $known[$place] = match (true) {
                $last === null => NoteStatus::Fresh,
                $day - $last->day >= $this->idle => NoteStatus::Shaky,
                default => $named || $this->isAnswered($answers) ? NoteStatus::Secure : NoteStatus::Shaky,
            };
        }

        return array_values($known);
    }

    /**
     * Of one day, what went wrong at the lesson has the last word.
     *
     * @param  list<Evidence>  $evidence
     * @return list<Evidence>
     */
    private static function inOrder(array $evidence): array
    {
        $places = array_map(static fn (Evidence $one): int => 2 * $one->day + ($one->kind === EvidenceKind::Slip ? 1 : 0), $evidence);
        asort($places);

        return array_map(static fn (int $at): Evidence => $evidence[$at], array_keys($places));
    }

    /**
     * @param  list<Evidence>  $answers
     * @return array{list<Evidence>, bool} the answers that count, and whether it was named
     */
    private function after(Evidence $one, array $answers, bool $named): array
    {
        switch ($one->kind) {
            case EvidenceKind::RightAnswer:
            case EvidenceKind::WrongAnswer:
                $answers[] = $one;

                return [$answers, $named && ! $this->isForgotten($answers)];
            case EvidenceKind::Slip:
                // What was answered before a slip proves nothing any more.
                return [[], false];
            default:
                return [$answers, $named || $one->kind === EvidenceKind::Named];
        }
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
        return ! $this->isForgotten($answers) && $this->enough->isSecure(array_map(
            static fn (Evidence $one): Answer => new Answer($one->kind === EvidenceKind::RightAnswer, $one->milliseconds),
            array_slice($answers, -$this->enough->answers),
        ));
    }
}

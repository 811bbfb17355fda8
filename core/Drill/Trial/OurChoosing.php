<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Trial;

use Nasturtium\Core\Drill\ChooseCards;
use Nasturtium\Core\Drill\Deck;
use Nasturtium\Core\Drill\Session;
use Nasturtium\Core\Drill\SessionRun;
use Nasturtium\Core\Practice\Answer;
use Nasturtium\Core\Practice\Evidence;
use Nasturtium\Core\Practice\EvidenceKind;
use Nasturtium\Core\Practice\NoteKnowledge;
use Nasturtium\Core\Reading\NoteStatus;

/** As the practice room chooses. */
final class OurChoosing implements Choosing
{
    /** @var array<string, list<Answer>> */
    private array $answers = [];

    private int $sessions = 0;

    private SessionRun $run;

    /** @param list<string> $cards */
    public function __construct(private readonly array $cards, private readonly int $seed)
    {
        $this->run = new SessionRun(new Session(0, [], [], [], 0, []));
    }

    public function begin(int $now, int $seconds): void
    {
        $this->sessions++;
        $status = array_map(static fn (array $answers): NoteStatus => (new NoteKnowledge())->status(array_map(
            static fn (Answer $answer): Evidence => new Evidence($answer->right ? EvidenceKind::RightAnswer : EvidenceKind::WrongAnswer, intdiv($answer->at, 86_400), $answer->milliseconds),
            $answers,
        ), intdiv($now, 86_400)), $this->answers);
        $this->run = new SessionRun((new ChooseCards())(new Deck($this->cards, $status, $this->answers), $now, $this->seed + $this->sessions, $seconds));
    }

    public function next(bool $isOver): ?string
    {
        return $this->run->next($isOver);
    }

    public function take(string $card, Answer $answer): void
    {
        $this->answers[$card][] = $answer;
        $this->run->answer($card, $answer);
    }
}

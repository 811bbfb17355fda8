<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Practice\Answer;
use Nasturtium\Core\Reading\NoteStatus;

/** The cards of one kind for one student, in the order they are met, with how well each is known and how it was answered. */
final readonly class Deck
{
    /**
     * @param  list<string>  $cards  ids, what is met first before what is met later
     * @param  array<string, NoteStatus>  $status  of those that are not new
     * @param  array<string, list<Answer>>  $answers  of each card, in their order
     * @param  list<array{string, string}>  $confused  pairs of cards, the one taken most often for the other first
     */
    public function __construct(public array $cards, public array $status, public array $answers, public array $confused = []) {}

    public function status(string $card): NoteStatus
    {
        return $this->status[$card] ?? NoteStatus::Fresh;
    }

    /** @return list<Answer> */
    public function answers(string $card): array
    {
        return $this->answers[$card] ?? [];
    }

    /** Nothing was ever asked, and nothing is secure: what pages have brought is not trained yet. */
    public function isFirst(): bool
    {
        return $this->answers === [] && ! in_array(NoteStatus::Secure, $this->status, true);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Trial;

use Nasturtium\Core\Practice\Answer;

/** A way to choose the cards of sessions. */
interface Choosing
{
    /** A session begins. */
    public function begin(int $now, int $seconds): void;

    /** @return ?string the next card; null when the session has ended */
    public function next(bool $isOver): ?string;

    public function take(string $card, Answer $answer): void;
}

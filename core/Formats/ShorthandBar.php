<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Note;

/** One hand's bar while it is typed. */
final class ShorthandBar
{
    /** @var list<array{Fraction, Duration, list<Note>}> */
    public array $events = [];

    public bool $repeatStart = false;

    public bool $repeatEnd = false;

    /** @var list<int> */
    public array $endings = [];

    public function __construct(public bool $startsLine) {}

    public function written(): Fraction
    {
        $last = $this->events[count($this->events) - 1] ?? null;

        return $last === null ? Fraction::zero() : $last[0]->plus($last[1]->whole);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Bars from one to another, both included, by their printed numbers. */
final readonly class BarRange
{
    /** @throws InvalidScore when the last comes before the first */
    public function __construct(public int $first, public int $last)
    {
        if ($last < $first) {
            throw InvalidScore::backwards($first, $last);
        }
    }

    public static function between(Place $from, Place $to): self
    {
        return new self($from->measure, $to->measure);
    }

    public function isOne(): bool
    {
        return $this->first === $this->last;
    }

    /** `bar 3`, `bars 3–4` */
    public function words(): string
    {
        return $this->isOne() ? "bar {$this->first}" : "bars {$this->first}–{$this->last}";
    }
}

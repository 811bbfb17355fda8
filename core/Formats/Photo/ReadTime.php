<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Meter;

/** A time as its print says, which may be none that pages have. */
final readonly class ReadTime
{
    /**
     * @param string $printed as it is typed: `3/4`, or `C` and `C|` for the two signs
     * @param float  $far     how far its numbers are from the table's, together
     */
    public function __construct(public string $printed, public float $far) {}

    /** Whether its lower number is the value of a note. */
    public function isWritten(): bool
    {
        return preg_match('~^C|/[248]$~D', $this->printed) === 1;
    }

    /** Null where no page has it. */
    public function meter(): ?Meter
    {
        return in_array($this->printed, PageBuilder::TIMES, true) ? Meter::parse($this->printed) : null;
    }
}

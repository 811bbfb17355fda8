<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** One end of a slur; the two ends bear the same number. */
final readonly class SlurEnd
{
    public function __construct(public int $number, public bool $starts) {}
}

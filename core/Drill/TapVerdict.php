<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** What taps were. */
final readonly class TapVerdict
{
    /** @param list<int> $off milliseconds that each strike was late, or early where negative; 0 where it was in time; none where taps are missing or too many */
    public function __construct(public TapResult $result, public array $off) {}
}

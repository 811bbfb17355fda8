<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Check;

/** One hand's fingers through a piece. */
final readonly class HandFingers
{
    /**
     * @param  array<string, list<int|null>>  $fingers  by event id, lowest note first
     * @param  array<string, list<int|null>>  $or  another choice as good, where there is one, by event id
     * @param  array<string, FingerSource>  $sources  by event id
     * @param  array<string, string>  $patterns  names of standard patterns, by event id
     * @param  list<Placed>  $placed  the struck events in time
     * @param  list<Check>  $checks
     */
    public function __construct(
        public array $fingers,
        public array $or,
        public array $sources,
        public array $patterns,
        public array $placed,
        public array $checks,
    ) {}
}

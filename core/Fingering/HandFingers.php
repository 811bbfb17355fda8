<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Event;

/** One hand's fingers through a piece, with the thumb's key at each struck event. */
final readonly class HandFingers
{
    /**
     * @param  array<string, list<int|null>>  $fingers  by event id, lowest note first
     * @param  list<array{Event, int}>  $thumbs  each struck event with the letter count of the thumb's key
     * @param  list<Check>  $checks
     */
    public function __construct(public array $fingers, public array $thumbs, public array $checks) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Place;

/** Notes in a row on fingers 4 and 5, which share a tendon: keep it short, and stop if it aches. */
final readonly class WeakRun
{
    /** @param list<string> $events ids */
    public function __construct(public Hand $hand, public Place $from, public Place $to, public array $events) {}
}

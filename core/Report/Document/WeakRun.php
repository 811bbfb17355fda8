<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Fingering\WeakRun as RunOfWeakFingers;
use Nasturtium\Core\Score\Hand;

/** Fingers 4 and 5 in turn. */
final readonly class WeakRun implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Hand  $hand  that plays it
     * @param  string  $from  its first place
     * @param  string  $to  its last place
     * @param  list<string>  $events  ids
     */
    public function __construct(
        public Hand $hand,
        public string $from,
        public string $to,
        public array $events,
    ) {}

    public static function of(RunOfWeakFingers $run): self
    {
        return new self($run->hand, (string) $run->from, (string) $run->to, $run->events);
    }
}

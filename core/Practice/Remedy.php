<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Place;

/** What is done about a slip next week (trade 12.2). */
final readonly class Remedy
{
    /**
     * @param  int  $first  index of its first measure
     * @param  int  $last  index of its last measure
     * @param  int  $tempo  beats a minute
     * @param  string  $why  in words
     */
    public function __construct(
        public Slip $kind,
        public int $first,
        public int $last,
        public Place $from,
        public Place $to,
        public ?Hand $hand,
        public int $tempo,
        public int $repetitions,
        public int $halfMinutes,
        public string $why,
    ) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Something on the page that does not add up, said with its place and never mended silently. */
final readonly class Check
{
    /**
     * @param  list<string>  $events  ids of the notes it speaks of
     * @param  Fix|null  $fix  where it is certain what should stand there
     */
    public function __construct(
        public string $code,
        public Place $place,
        public ?Hand $hand,
        public string $text,
        public array $events = [],
        public ?Fix $fix = null,
    ) {}
}

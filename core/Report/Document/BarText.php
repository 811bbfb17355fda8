<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Score\Hand;

/** A bar of one hand in words: its counts, or its fingers. */
final readonly class BarText implements \JsonSerializable
{
    use Fields;

    /**
     * @param  int  $measure  its number
     * @param  Hand  $hand  of the two
     * @param  string  $text  struck counts `1`, held `(2)`, rests `[3]`, `·` where a note falls between counts; or fingers such as `1 3 2 4`
     */
    public function __construct(
        public int $measure,
        public Hand $hand,
        public string $text,
    ) {}
}

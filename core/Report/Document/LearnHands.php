<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

/** Different bars of each hand. */
final readonly class LearnHands implements \JsonSerializable
{
    use Fields;

    /**
     * @param  int  $R  of the right
     * @param  int  $L  of the left
     */
    public function __construct(
        public int $R,
        public int $L,
    ) {}
}

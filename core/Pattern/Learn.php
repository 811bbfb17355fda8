<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

/** A bar to learn, and the bars that are learnt with it. */
final readonly class Learn
{
    /**
     * @param  int  $measure  number of the bar it is learnt in
     * @param  non-empty-list<int>  $serves  numbers of the bars that are the same in both hands, itself first
     * @param  int  $score  of the hardest of them
     */
    public function __construct(public int $measure, public array $serves, public int $score) {}
}

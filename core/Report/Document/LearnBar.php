<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Pattern\Learn as BarToLearn;

/** A bar to learn, and the bars that are learnt with it. */
final readonly class LearnBar implements \JsonSerializable
{
    use Fields;

    /**
     * @param  int  $measure  its number
     * @param  list<int>  $serves  numbers of the bars that are the same, itself first
     * @param  int  $score  of the hardest of them
     */
    public function __construct(
        public int $measure,
        public array $serves,
        public int $score,
    ) {}

    public static function of(BarToLearn $bar): self
    {
        return new self($bar->measure, $bar->serves, $bar->score);
    }
}

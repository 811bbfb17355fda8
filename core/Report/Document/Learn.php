<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Pattern\LearningOrder;

/** What there is to learn. */
final readonly class Learn implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $text  `This page is 16 bars; you learn 7.`
     * @param  int  $bars  in which something sounds
     * @param  LearnHands  $hands  different bars of each
     * @param  list<LearnBar>  $order  what unlocks most comes first
     */
    public function __construct(
        public string $text,
        public int $bars,
        public LearnHands $hands,
        public array $order,
    ) {}

    public static function of(LearningOrder $learn, string $text): self
    {
        return new self($text, $learn->bars, new LearnHands(...$learn->hands), array_map(LearnBar::of(...), $learn->order));
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Pattern\HandsPlay;
use Nasturtium\Core\Pattern\HandsTogether;
use Nasturtium\Core\Pattern\Motion;
use Nasturtium\Core\Score\Measure;

/** What the hands do with each other in a bar. */
final readonly class Hands implements \JsonSerializable
{
    use Fields;

    /**
     * @param  int  $measure  its number
     * @param  HandsPlay  $play  one alone, in turns, together, or none
     * @param  ?Motion  $motion  null unless both move together
     * @param  ?bool  $sameRhythm  null unless they play together
     */
    public function __construct(
        public int $measure,
        public HandsPlay $play,
        public ?Motion $motion,
        public ?bool $sameRhythm,
    ) {}

    public static function of(Measure $measure, HandsTogether $hands): self
    {
        return new self($measure->number, $hands->play, $hands->motion, $hands->sameRhythm);
    }
}

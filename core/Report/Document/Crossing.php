<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Fingering\Crossing as FingerCrossing;
use Nasturtium\Core\Fingering\HandMove;
use Nasturtium\Core\Score\Hand;

/** In a run the thumb goes under, or a finger over it. */
final readonly class Crossing implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Hand  $hand  that crosses
     * @param  string  $at  the place it arrives at
     * @param  HandMove  $kind  `under` or `over`
     * @param  int  $finger  that the thumb passes under, or that passes over it
     */
    public function __construct(
        public Hand $hand,
        public string $at,
        public HandMove $kind,
        public int $finger,
    ) {}

    public static function of(FingerCrossing $crossing): self
    {
        return new self($crossing->hand, (string) $crossing->at, $crossing->move, $crossing->finger);
    }
}

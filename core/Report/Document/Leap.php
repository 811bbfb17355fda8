<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Fingering\Leap as HandLeap;
use Nasturtium\Core\Reading\Move;
use Nasturtium\Core\Score\Hand;

/** A sixth and more: the arm moves. */
final readonly class Leap implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Hand  $hand  that leaps
     * @param  string  $at  the place it arrives at
     * @param  string  $from  the pitch before
     * @param  string  $to  and after
     * @param  string  $move  in words
     */
    public function __construct(
        public Hand $hand,
        public string $at,
        public string $from,
        public string $to,
        public string $move,
    ) {}

    public static function of(HandLeap $leap): self
    {
        return new self($leap->hand, (string) $leap->at, $leap->from->name(), $leap->to->name(), Move::of($leap->steps));
    }
}

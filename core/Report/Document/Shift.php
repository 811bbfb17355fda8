<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Fingering\Shift as HandShift;
use Nasturtium\Core\Score\Hand;

/** The hand moves. */
final readonly class Shift implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Hand  $hand  that moves
     * @param  string  $at  the place it arrives at
     * @param  int  $keys  white ones, up positive
     * @param  string  $from  the key of the thumb before
     * @param  string  $to  and after
     * @param  string  $beats  from strike to strike
     * @param  string  $rest  those of them that are silent
     */
    public function __construct(
        public Hand $hand,
        public string $at,
        public int $keys,
        public string $from,
        public string $to,
        public string $beats,
        public string $rest,
    ) {}

    public static function of(HandShift $shift): self
    {
        return new self($shift->hand, (string) $shift->at, $shift->keys, $shift->from->name(), $shift->to->name(), (string) $shift->time, (string) $shift->rest);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Fingering\Position as HandPosition;
use Nasturtium\Core\Score\Hand;

/** Five fingers over five letters, for a stretch of the piece. */
final readonly class Position implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Hand  $hand  that lies there
     * @param  string  $from  its first place
     * @param  string  $to  its last place
     * @param  string  $thumb  the key of the thumb
     * @param  string  $low  the lowest key
     * @param  string  $high  the highest key
     * @param  list<int>  $keys  under fingers 1 to 5; middle C is 60
     * @param  string  $name  `C position`, `thumb on D4`
     */
    public function __construct(
        public Hand $hand,
        public string $from,
        public string $to,
        public string $thumb,
        public string $low,
        public string $high,
        public array $keys,
        public string $name,
    ) {}

    public static function of(HandPosition $position): self
    {
        return new self(
            $position->hand,
            (string) $position->from,
            (string) $position->to,
            $position->thumb->name(),
            $position->low->name(),
            $position->high->name(),
            $position->keys,
            $position->name,
        );
    }
}

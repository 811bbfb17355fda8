<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Measure;

/** A measure, and the beats that are counted in it. */
final readonly class Bar implements \JsonSerializable
{
    use Fields;

    /**
     * @param  int  $measure  its number as printed; a pickup is 0
     * @param  string  $time  its time signature
     * @param  string  $key  its key
     * @param  int  $first  beat, from 1
     * @param  int  $last  beat
     */
    public function __construct(
        public int $measure,
        public string $time,
        public string $key,
        public int $first,
        public int $last,
    ) {}

    public static function of(Measure $measure): self
    {
        return new self(
            $measure->number,
            (string) $measure->meter,
            $measure->key->name(),
            $measure->place(Fraction::zero())->beats->floor() + 1,
            $measure->lastBeat()->beats->floor() + 1,
        );
    }
}

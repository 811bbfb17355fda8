<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** A key that was struck in a take. */
final readonly class TakenNote
{
    private const BRUSHED = 160;

    /**
     * @param  int  $at  milliseconds from the beginning of the take
     * @param  int  $off  when it was let go
     * @param  int  $pitch  as MIDI numbers it
     * @param  int  $sure  thousandths; 1000 from a keyboard
     */
    public function __construct(public int $at, public int $off, public int $pitch, public int $velocity = 64, public int $sure = 1_000) {}

    /** It was let go at once. */
    public function isBrushed(): bool
    {
        return $this->off - $this->at < self::BRUSHED;
    }
}

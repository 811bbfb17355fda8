<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** A written note and what became of it. */
final readonly class HeardNote
{
    /**
     * @param  ?int  $played  the key that was struck for it
     * @param  ?int  $at  milliseconds of the take
     */
    public function __construct(
        public WrittenNote $written,
        public HeardStatus $status,
        public ?int $played = null,
        public ?int $at = null,
        public Timing $timing = Timing::Ok,
        public Hold $hold = Hold::Ok,
    ) {}
}

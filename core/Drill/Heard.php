<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** A key that sounds for a card. */
final readonly class Heard
{
    /**
     * @param  int  $key  as MIDI numbers it
     * @param  int  $at  milliseconds
     * @param  int  $lasts  milliseconds
     */
    public function __construct(public int $key, public int $at, public int $lasts) {}
}

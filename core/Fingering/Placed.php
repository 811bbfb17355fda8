<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Event;

/** A struck event under the hand. */
final readonly class Placed
{
    /** @param int $thumb letter count from C0 of the key that the thumb lies on */
    public function __construct(public Event $event, public int $thumb, public HandMove $move) {}
}

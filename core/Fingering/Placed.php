<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Event;

/** A struck event under the hand. */
final readonly class Placed
{
    /**
     * @param  Frame  $frame  where the hand lies; the same object for as long as it lies there
     * @param  int  $letters  from its lowest to its highest key, whatever voice they are in
     */
    public function __construct(public Event $event, public Frame $frame, public HandMove $move, public int $letters) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** A note to drill before a page is opened. */
final readonly class Drill
{
    /** @param string $why `new on this page, 5 times` */
    public function __construct(public Clef $clef, public Pitch $pitch, public NoteStatus $status, public string $why) {}
}

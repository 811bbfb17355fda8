<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing\Trial;

use Nasturtium\Core\Performance\Hearing\HeardStatus;
use Nasturtium\Core\Performance\Hearing\Hold;
use Nasturtium\Core\Performance\Hearing\Timing;

/** What truly became of a written note. */
final readonly class TrueNote
{
    public function __construct(public HeardStatus $status, public ?int $played = null, public ?int $at = null, public Timing $timing = Timing::Ok, public Hold $hold = Hold::Ok) {}
}

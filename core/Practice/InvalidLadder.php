<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Refusal;

/** A tempo ladder that does not climb. */
final class InvalidLadder extends Refusal
{
    public static function noStep(int $step): self
    {
        return new self("a tempo ladder cannot climb by {$step}");
    }
}

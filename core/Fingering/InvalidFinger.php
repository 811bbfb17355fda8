<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Refusal;

/** A finger that no hand has. */
final class InvalidFinger extends Refusal
{
    public static function notOfAHand(int|string $at, int $finger): self
    {
        return new self("{$at}: a hand has fingers 1 to 5, not {$finger}");
    }
}

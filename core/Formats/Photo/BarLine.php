<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** A bar line and what stands with it, in pixels of a strip. */
final readonly class BarLine
{
    public function __construct(public int $left, public int $right, public int $thick, public bool $dotsBefore, public bool $dotsAfter) {}

    public function x(): float
    {
        return ($this->left + $this->right) / 2;
    }
}

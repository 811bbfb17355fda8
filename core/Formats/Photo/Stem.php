<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** An upright stroke, in pixels of a strip. */
final class Stem
{
    /** @var list<Head> */
    public array $heads = [];

    public ?bool $up = null;

    public function __construct(public readonly float $x, public readonly int $top, public readonly int $bottom, public readonly int $width) {}

    public function height(): int
    {
        return $this->bottom - $this->top;
    }
}

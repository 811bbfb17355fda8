<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** Something on the page that does not add up, said with its place and never mended silently. */
final readonly class Check
{
    public function __construct(public string $code, public Place $place, public ?Hand $hand, public string $text) {}
}

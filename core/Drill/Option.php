<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** Something to choose on a card. */
final readonly class Option
{
    /** @param string $id what an answer names it by */
    public function __construct(public string $id, public string $label) {}
}

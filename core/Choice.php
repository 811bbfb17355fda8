<?php

declare(strict_types=1);

namespace Nasturtium\Core;

/** A closed set that is chosen from on a screen: each case says what it is called there. The API serves such sets; no screen lists them. */
interface Choice extends \BackedEnum
{
    public function label(): string;
}

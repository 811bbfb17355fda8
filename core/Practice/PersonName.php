<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** What a student is called: a first name and an initial are enough (trade 13.2). */
final readonly class PersonName
{
    public function __construct(public string $first, public string $initial) {}

    /** `Ida T.` */
    public function short(): string
    {
        return "{$this->first} {$this->initial}.";
    }
}

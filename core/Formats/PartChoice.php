<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** Which parts of a file are whose, by their ids. */
final readonly class PartChoice
{
    /**
     * @param  string  $student  both hands, or the right hand where the left has a part of its own
     * @param  string|null  $duet  what the teacher plays
     */
    public function __construct(public string $student, public ?string $left = null, public ?string $duet = null) {}
}

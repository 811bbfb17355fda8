<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** One thing that tells of a note. */
final readonly class Evidence
{
    /**
     * @param  int  $day  counted from any day, the same for all
     * @param  int  $milliseconds  that an answer took
     */
    public function __construct(public EvidenceKind $kind, public int $day, public int $milliseconds = 0) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/** What stands at the left of a staff. */
final readonly class Opening
{
    /**
     * @param int                          $fifths the key, as far as it can be seen here
     * @param array{string, string}|null $time   the pictures of the two numbers, SIDE by SIDE
     * @param int                          $end    the column after it
     */
    public function __construct(public Clef $clef, public int $fifths, public ?array $time, public int $end) {}
}

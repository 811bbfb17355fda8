<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Clef;

/** What stands at the left of a staff. */
final readonly class Opening
{
    /**
     * @param int           $fifths the key, as far as it can be seen here
     * @param ReadTime|null $time   null where none stands there
     * @param int           $end    the column after it
     */
    public function __construct(public Clef $clef, public int $fifths, public ?ReadTime $time, public int $end) {}
}

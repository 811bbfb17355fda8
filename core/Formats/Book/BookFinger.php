<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Book;

use Nasturtium\Core\Score\Hand;

/** A finger that the teacher set herself, in place of the one that is printed or worked out. */
final readonly class BookFinger
{
    /**
     * @param  string  $place  bar and beat, as `5.1+1/2`
     * @param  string  $pitch  as `C4`
     */
    public function __construct(public Hand $hand, public string $place, public string $pitch, public int $finger) {}
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

use Nasturtium\Core\Score\Meter;

/** Another key, another time, or both, that a line goes on with after a bar line. */
final readonly class Signature
{
    /**
     * @param int|null   $fifths null where the key stays
     * @param Meter|null $time   likewise
     * @param list<int>  $ends   by staff, the column after it
     */
    public function __construct(public ?int $fifths, public ?Meter $time, public array $ends) {}
}

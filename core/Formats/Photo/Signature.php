<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** Another key, another time, or both, that a line goes on with after a bar line. */
final readonly class Signature
{
    /**
     * @param int|null             $fifths null where the key stays
     * @param array{int, int}|null $time   beats and their unit, likewise
     * @param list<int>            $ends   by staff, the column after it
     */
    public function __construct(public ?int $fifths, public ?array $time, public array $ends) {}
}

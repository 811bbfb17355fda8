<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Place;

/** Something on a page that is easily read wrong. */
final readonly class Trap
{
    /**
     * @param  string  $code  `one_clef`, `clef_change`, `crossed`, `ledger_zone` or `left_down`
     * @param  list<string>  $events  ids of the notes it speaks of
     */
    public function __construct(public string $code, public Place $place, public ?Hand $hand, public string $text, public array $events) {}
}

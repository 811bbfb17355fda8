<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Reading\Trap as ReadingTrap;
use Nasturtium\Core\Score\Hand;

/** Something that is easily read wrong. */
final readonly class Trap implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $code  `one_clef`, `clef_change`, `crossed`, `ledger_zone`, `left_down`
     * @param  string  $place  where
     * @param  ?Hand  $hand  null where it is of both
     * @param  string  $text  in words
     * @param  list<string>  $events  ids
     */
    public function __construct(
        public string $code,
        public string $place,
        public ?Hand $hand,
        public string $text,
        public array $events,
    ) {}

    public static function of(ReadingTrap $trap, string $text): self
    {
        return new self($trap->code, (string) $trap->place, $trap->hand, $text, $trap->events);
    }
}

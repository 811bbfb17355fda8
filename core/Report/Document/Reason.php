<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Pattern\Difficulty;
use Nasturtium\Core\Pattern\Reason as ReasonFound;

/** Why a bar is hard. */
final readonly class Reason implements \JsonSerializable
{
    use Fields;

    /**
     * @param  Difficulty  $code  which of the reasons
     * @param  string  $text  in words
     * @param  int  $weight  what it adds to the score
     * @param  list<string>  $events  ids
     */
    public function __construct(
        public Difficulty $code,
        public string $text,
        public int $weight,
        public array $events,
    ) {}

    public static function of(ReasonFound $reason, string $text): self
    {
        return new self($reason->difficulty, $text, $reason->score(), $reason->events);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Report\Document;

use Nasturtium\Core\Score\Check as ScoreCheck;
use Nasturtium\Core\Score\Hand;

/** Something that does not add up, or was not read. */
final readonly class Check implements \JsonSerializable
{
    use Fields;

    /**
     * @param  string  $code  `bar_short`, `tie_broken`, `finger_fights`, …
     * @param  string  $place  where; of a bar of a wrong length the first beat that is missing or too many
     * @param  ?Hand  $hand  null where it is of no one hand
     * @param  string  $text  what to see and do, in words
     * @param  list<string>  $events  ids of the notes it speaks of
     */
    public function __construct(
        public string $code,
        public string $place,
        public ?Hand $hand,
        public string $text,
        public array $events,
    ) {}

    public static function of(ScoreCheck $check, string $text): self
    {
        return new self($check->code, (string) $check->place, $check->hand, $text, $check->events);
    }
}

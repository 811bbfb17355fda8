<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** An event as it is read, before it has its id, its clef and its place among the voices. */
final readonly class DraftEvent
{
    /**
     * @param  string  $voice  as the source names it
     * @param  list<Note>  $notes
     * @param  int|null  $token  what it was read from, as the source counts
     */
    public function __construct(
        public Hand $hand,
        public string $voice,
        public Fraction $onset,
        public Duration $duration,
        public array $notes,
        public Ink $ink,
        public bool $crossed,
        public ?int $token = null,
    ) {}

    public function end(): Fraction
    {
        return $this->onset->plus($this->duration->whole);
    }

    public static function rest(Hand $hand, string $voice, Fraction $from, Fraction $to): self
    {
        return new self($hand, $voice, $from, Duration::ofWhole($to->minus($from)), [], Ink::none(), false);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** One measure of the grand staff, as printed. */
final readonly class Measure
{
    /** Where its first beat is counted, in whole notes: a one-beat pickup in 4/4 starts at 3/4. */
    public Fraction $offset;

    /**
     * @param  int  $number  as printed; a pickup is 0, and the two parts of a divided bar have the same
     * @param  Fraction  $length  what is written, in whole notes
     * @param  list<Event>  $right  the main voice, without a gap
     * @param  list<Event>  $left
     * @param  list<int>  $endings  the passes this measure is played in; none means all
     * @param  bool  $newLine  it is the first of a printed line
     * @param  int  $times  how often the repeat that ends here is played
     * @param  list<Event>  $inner  further voices of either hand, by hand, voice and time
     * @param  array{R: Clef, L: Clef}  $clefs  in force at its start, by the hand whose staff it is
     * @param  list<Change>  $changes  clefs and keys inside it, in time
     * @param  list<Sign>  $signs  in time
     * @param  list<Navigation>  $navigation
     * @param  string  $barStyle  of its right bar line, as MusicXML names it, when it is neither plain nor a repeat
     * @param  Fraction|null  $after  what of the bar stands before it, when a repeat sign or a double bar divides the bar and this is the second part
     * @param  bool  $sameAsBefore  it is printed as the sign that says so
     */
    public function __construct(
        public int $index,
        public int $number,
        public Meter $meter,
        public Key $key,
        public Fraction $length,
        public array $right,
        public array $left,
        public bool $pickup = false,
        public bool $repeatStart = false,
        public bool $repeatEnd = false,
        public array $endings = [],
        public bool $newLine = false,
        public int $times = 2,
        public array $inner = [],
        public array $clefs = ['R' => Clef::Treble, 'L' => Clef::Bass],
        public array $changes = [],
        public array $signs = [],
        public array $navigation = [],
        public string $barStyle = '',
        public ?Fraction $after = null,
        public bool $sameAsBefore = false,
    ) {
        $this->offset = $pickup ? $meter->measure()->minus($length) : ($after ?? Fraction::zero());
    }

    /**
     * The same measure in another key.
     *
     * @param  list<Change>  $changes
     * @param  \Closure(Event): Event  $event  what becomes of each event
     */
    public function with(Key $key, array $changes, \Closure $event): self
    {
        return new self(
            $this->index,
            $this->number,
            $this->meter,
            $key,
            $this->length,
            array_map($event, $this->right),
            array_map($event, $this->left),
            $this->pickup,
            $this->repeatStart,
            $this->repeatEnd,
            $this->endings,
            $this->newLine,
            $this->times,
            array_map($event, $this->inner),
            $this->clefs,
            $changes,
            $this->signs,
            $this->navigation,
            $this->barStyle,
            $this->after,
            $this->sameAsBefore,
        );
    }

    /** @return list<Event> the main voice of a hand */
    public function of(Hand $hand): array
    {
        return $hand === Hand::Right ? $this->right : $this->left;
    }

    /** @return list<Event> all voices: the right hand's main voice, the left hand's, then the further ones */
    public function events(): array
    {
        return $this->inner === [] ? [...$this->right, ...$this->left] : [...$this->right, ...$this->left, ...$this->inner];
    }

    /** @return array<int, list<Event>> a hand's voices by their number, the main one first */
    public function voices(Hand $hand): array
    {
        $voices = [1 => $this->of($hand)];
        foreach ($this->inner as $event) {
            if ($event->hand === $hand) {
                $voices[$event->voice][] = $event;
            }
        }

        return $voices;
    }

    /** @return list<Event> all voices of a hand, or of both, by their moment */
    public function inTime(?Hand $hand = null): array
    {
        if ($hand !== null && $this->inner === []) {
            return $this->of($hand);
        }
        $events = array_filter($this->events(), static fn (Event $event): bool => $hand === null || $event->hand === $hand);
        usort($events, static fn (Event $a, Event $b): int => $a->onset->compare($b->onset));

        return $events;
    }

    public function clefAtEnd(Hand $staff): Clef
    {
        $clef = $this->clefs[$staff->value];
        foreach ($this->changes as $change) {
            if ($change->staff === $staff && $change->to instanceof Clef) {
                $clef = $change->to;
            }
        }

        return $clef;
    }

    public function keyAtEnd(): Key
    {
        $key = $this->key;
        foreach ($this->changes as $change) {
            $key = $change->to instanceof Key ? $change->to : $key;
        }

        return $key;
    }

    /** A repeat sign, a double bar or the end of the piece may stand after it though the bar goes on. */
    public function isDivided(): bool
    {
        return $this->repeatEnd || $this->barStyle !== '' || $this->has(Navigation::Fine);
    }

    public function has(Navigation $sign): bool
    {
        return in_array($sign, $this->navigation, true);
    }

    /** The first event that sounds in either hand, tied ones too. */
    /** Note heads that are struck; what is held by a tie is not. */
    public function heads(): int
    {
        $heads = 0;
        foreach ($this->events() as $event) {
            $heads += $event->isStruck() ? count($event->notes) : 0;
        }

        return $heads;
    }

    public function firstSounding(): ?Event
    {
        $first = null;
        foreach ($this->events() as $event) {
            if (! $event->isRest() && ($first === null || $event->onset->compare($first->onset) < 0)) {
                $first = $event;
            }
        }

        return $first;
    }

    /** The place of a moment of this measure, given in whole notes from its start. */
    public function place(Fraction $onset): Place
    {
        return new Place($this->number, $this->meter->beats($this->offset->plus($onset)));
    }

    /** The last beat that is counted in it. */
    public function lastBeat(): Place
    {
        $end = $this->meter->beats($this->offset->plus($this->length));

        return new Place($this->number, Fraction::of(max(0, $end->ceil() - 1)));
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** One measure of the grand staff, as printed. */
final readonly class Measure
{
    /** Where its first beat is counted, in whole notes: a one-beat pickup in 4/4 starts at 3/4. */
    public Fraction $offset;

    /**
     * @param  int  $number  as printed; a pickup is 0
     * @param  Fraction  $length  what is written, in whole notes
     * @param  list<Event>  $right
     * @param  list<Event>  $left
     * @param  list<int>  $endings  the passes this measure is played in; none means all
     * @param  bool  $newLine  it is the first of a printed line
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
    ) {
        $this->offset = $pickup ? $meter->measure()->minus($length) : Fraction::zero();
    }

    /** @return list<Event> */
    public function of(Hand $hand): array
    {
        return $hand === Hand::Right ? $this->right : $this->left;
    }

    /** @return list<Event> the right hand's, then the left hand's */
    public function events(): array
    {
        return [...$this->right, ...$this->left];
    }

    /** The first event that sounds in either hand, tied ones too. */
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

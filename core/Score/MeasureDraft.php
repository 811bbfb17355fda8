<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A measure while it is read. */
final class MeasureDraft
{
    /** @var list<DraftEvent> */
    public array $events = [];

    /** @var list<array{Fraction, Hand, Clef}> */
    public array $clefs = [];

    /** @var list<array{Fraction, Key}> */
    public array $keys = [];

    /** @var list<Sign> */
    public array $signs = [];

    /** @var list<Navigation> */
    public array $navigation = [];

    public bool $repeatStart = false;

    public bool $repeatEnd = false;

    public int $times = 2;

    /** As MusicXML names it; empty for a plain one. */
    public string $barStyle = '';

    /** It is printed as the sign that says so. */
    public bool $sameAsBefore = false;

    /** @var array{R: Fraction, L: Fraction} how far a hand's own voice is filled without a rest being written */
    public array $filled;

    /** @var list<int> */
    public array $endings = [];

    /**
     * @param  int|null  $number  as printed, where the source says it
     * @param  bool  $implicit  no number is printed, and the count of bars goes on without it
     */
    public function __construct(
        public Meter $meter,
        public Key $key,
        public readonly ?int $number,
        public readonly bool $implicit,
        public readonly bool $newLine,
    ) {
        $this->filled = ['R' => Fraction::zero(), 'L' => Fraction::zero()];
    }

    public function navigate(Navigation $sign): void
    {
        if (! in_array($sign, $this->navigation, true)) {
            $this->navigation[] = $sign;
        }
    }

    /** @return list<string> what is struck when, by which hand, for how long */
    public function struck(): array
    {
        $said = [];
        foreach ($this->events as $event) {
            foreach ($event->notes as $note) {
                $said[] = "{$event->hand->value} {$event->onset} {$event->duration->whole} {$note->pitch->name()}";
            }
        }
        sort($said);

        return $said;
    }

    /** What is written in the fullest voice; an empty measure has its full length. */
    public function length(): Fraction
    {
        $length = Fraction::zero();
        foreach ($this->events as $event) {
            $length = $length->max($event->end());
        }

        return $length->isZero() ? $this->meter->measure() : $length;
    }

    /**
     * A hand's voices, each in time and without overlaps: what a source lays over itself becomes a voice more.
     * The first one has something to play if any has, and no gaps.
     *
     * @return list<non-empty-list<DraftEvent>>
     */
    public function voices(Hand $hand): array
    {
        $byVoice = [];
        foreach ($this->events as $event) {
            if ($event->hand === $hand) {
                $byVoice[$event->voice][] = $event;
            }
        }
        uksort($byVoice, static fn (int|string $a, int|string $b): int => strnatcmp((string) $a, (string) $b));
        $lanes = [];
        foreach ($byVoice as $events) {
            array_push($lanes, ...self::lanes($events));
        }
        foreach ($lanes as $i => $lane) {
            if (self::sounds($lane)) {
                unset($lanes[$i]);
                array_unshift($lanes, $lane);
                break;
            }
        }
        if ($lanes !== []) {
            $lanes[0] = self::filled($lanes[0], $this->filled[$hand->value]);
        }
        if (count($lanes) > Limits::VOICES) {
            throw InvalidScore::tooMany('a bar', count($lanes), "voices of the {$hand->word()}", Limits::VOICES);
        }

        return array_values($lanes);
    }

    /**
     * @param  non-empty-list<DraftEvent>  $events
     * @return list<non-empty-list<DraftEvent>>
     */
    private static function lanes(array $events): array
    {
        usort($events, static fn (DraftEvent $a, DraftEvent $b): int => $a->onset->compare($b->onset));
        $lanes = [];
        $ends = [];
        foreach ($events as $event) {
            $at = 0;
            while (isset($ends[$at]) && $ends[$at]->compare($event->onset) > 0) {
                $at++;
            }
            if ($at >= Limits::VOICES) {
                throw InvalidScore::tooManyOverOneAnother();
            }
            $lanes[$at][] = $event;
            $ends[$at] = $event->end();
        }

        return array_values($lanes);
    }

    /** @param list<DraftEvent> $lane */
    private static function sounds(array $lane): bool
    {
        foreach ($lane as $event) {
            if ($event->notes !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  non-empty-list<DraftEvent>  $lane
     * @param  Fraction  $to  the voice is silent up to here, when it ends before
     * @return non-empty-list<DraftEvent>
     */
    private static function filled(array $lane, Fraction $to): array
    {
        $filled = [];
        $cursor = Fraction::zero();
        foreach ($lane as $event) {
            if ($event->onset->compare($cursor) > 0) {
                $filled[] = DraftEvent::rest($event->hand, $event->voice, $cursor, $event->onset);
            }
            $filled[] = $event;
            $cursor = $event->end();
        }
        if ($cursor->compare($to) < 0) {
            $filled[] = DraftEvent::rest($lane[0]->hand, $lane[0]->voice, $cursor, $to);
        }

        return $filled;
    }
}

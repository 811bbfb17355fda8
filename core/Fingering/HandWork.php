<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/** What a hand has to do through a piece: where it moves, crosses, leaps and stretches, and where it is weak (trade 4.4). */
final class HandWork
{
    /** A sixth: beyond it the arm moves. */
    private const LEAP = 5;

    /** Notes on fingers 4 and 5 in turn that make a run. */
    private const WEAK = 4;

    /** In eighths and faster. */
    private const WEAK_FAST = 3;

    /** @var list<Shift>|null once they were asked for */
    private ?array $shifts = null;

    /** @var list<Leap>|null likewise */
    private ?array $leaps = null;

    public function __construct(private readonly Piece $piece, private readonly Hand $hand, private readonly HandFingers $fingers) {}

    /** @return list<Shift> */
    public function shifts(): array
    {
        return $this->shifts ??= $this->findShifts();
    }

    /** @return list<Shift> */
    private function findShifts(): array
    {
        $shifts = [];
        foreach ($this->fingers->placed as $i => $placed) {
            if ($placed->move === HandMove::Shift) {
                $before = $this->fingers->placed[$i - 1];
                [$time, $rest] = $this->between($before->event, $placed->event);
                $shifts[] = new Shift(
                    $this->hand,
                    $this->piece->place($placed->event),
                    $placed->frame->thumb - $before->frame->thumb,
                    $this->thumb($before),
                    $this->thumb($placed),
                    $time,
                    $rest,
                );
            }
        }

        return $shifts;
    }

    /** @return list<Crossing> */
    public function crossings(): array
    {
        $crossings = [];
        foreach ($this->fingers->placed as $i => $placed) {
            if ($placed->move->isCrossing()) {
                $over = $placed->move === HandMove::FingerOver ? $placed->event : $this->fingers->placed[$i - 1]->event;
                $crossings[] = new Crossing($this->hand, $this->piece->place($placed->event), $placed->move, $this->fingers->fingers[$over->id][0] ?? 0);
            }
        }

        return $crossings;
    }

    /** @return list<Leap> by the lowest note of a chord; what lies under an open hand is none */
    public function leaps(): array
    {
        return $this->leaps ??= $this->findLeaps();
    }

    /** @return list<Leap> */
    private function findLeaps(): array
    {
        $leaps = [];
        $last = null;
        foreach ($this->fingers->placed as $placed) {
            $now = $placed->event->lowest();
            $steps = $last === null ? 0 : $now->diatonic() - $last->diatonic();
            if ($last !== null && abs($steps) >= self::LEAP && $placed->move === HandMove::Shift) {
                $leaps[] = new Leap($this->hand, $this->piece->place($placed->event), $last, $now, $steps);
            }
            $last = $now;
        }

        return $leaps;
    }

    /**
     * @param  int  $reach  white keys that the student's hand spans
     * @return list<Span> of every chord that is wider than the five fingers lie, or than the student's hand
     */
    public function spans(int $reach): array
    {
        $spans = [];
        foreach ($this->fingers->placed as $placed) {
            $keys = $placed->letters;
            if ($keys > min(5, $reach)) {
                $spans[] = new Span($this->hand, $this->piece->place($placed->event), $keys, $keys <= $reach);
            }
        }

        return $spans;
    }

    /** @return list<WeakRun> */
    public function weakRuns(): array
    {
        $runs = [];
        $run = [];
        foreach ([...$this->fingers->placed, null] as $placed) {
            $weak = $placed !== null && array_diff($this->fingers->fingers[$placed->event->id] ?? [null], [4, 5]) === [];
            if ($placed !== null && $weak) {
                $run[] = $placed->event;

                continue;
            }
            if (self::isWeak($run)) {
                $ids = array_map(static fn (Event $event): string => $event->id, $run);
                $runs[] = new WeakRun($this->hand, $this->piece->place($run[0]), $this->piece->place($run[count($run) - 1]), $ids);
            }
            $run = [];
        }

        return $runs;
    }

    /**
     * Four strikes in a row, or three in eighths or faster, that go to and fro between the two (trade 4.4).
     *
     * @param  list<Event>  $run  on fingers 4 and 5 alone
     */
    private static function isWeak(array $run): bool
    {
        $isFast = array_filter(array_slice($run, 0, -1), static fn (Event $event): bool => $event->writtenLength()->whole->compare(Fraction::of(1, 8)) > 0) === [];

        return count($run) >= ($isFast ? self::WEAK_FAST : self::WEAK) && self::turns($run) >= self::WEAK_FAST - 1;
    }

    /**
     * How often a run goes from one weak finger to the other; one key struck again and again asks nothing of two.
     *
     * @param  list<Event>  $run
     */
    private static function turns(array $run): int
    {
        $turns = 0;
        for ($i = 1; $i < count($run); $i++) {
            $turns += $run[$i]->lowest()->midi() === $run[$i - 1]->lowest()->midi() ? 0 : 1;
        }

        return $turns;
    }

    /** The fingers of a bar for playing in the air: `1 3 2 4`; a chord's joined with +, a rest left out. */
    public function line(Measure $measure): string
    {
        $said = [];
        foreach ($measure->of($this->hand) as $event) {
            if ($event->isStruck()) {
                $said[] = implode('+', array_map(static fn (?int $finger): string => (string) ($finger ?? '?'), $this->fingers->fingers[$event->id] ?? []));
            }
        }

        return implode(' ', $said);
    }

    /** @return array{Fraction, Fraction} beats from strike to strike, and those of them that are silent */
    private function between(Event $before, Event $after): array
    {
        $meter = $this->piece->measures[$before->measure]->meter;
        $whole = $after->onset->minus($before->onset);
        for ($i = $before->measure; $i < $after->measure; $i++) {
            $whole = $whole->plus($this->piece->measures[$i]->length);
        }

        return [$meter->beats($whole), $meter->beats($this->silent($before, $after))];
    }

    private function silent(Event $before, Event $after): Fraction
    {
        $silent = Fraction::zero();
        if ($before->measure === $after->measure && $before->end->equals($after->onset)) {
            return $silent;
        }
        for ($i = $before->measure; $i <= $after->measure; $i++) {
            foreach ($this->piece->measures[$i]->of($this->hand) as $event) {
                if (! $event->isRest()) {
                    continue;
                }
                $isAfter = $i > $before->measure || $event->onset->compare($before->onset) > 0;
                $isBefore = $i < $after->measure || $event->onset->compare($after->onset) < 0;
                if ($isAfter && $isBefore) {
                    $silent = $silent->plus($event->duration->whole);
                }
            }
        }

        return $silent;
    }

    private function thumb(Placed $placed): Pitch
    {
        return $placed->frame->pitch(1, $this->piece->measures[$placed->event->measure]->key);
    }
}

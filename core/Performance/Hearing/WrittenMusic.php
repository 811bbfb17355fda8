<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** What is to be played: the keys of a piece, of a range of its bars, of one hand or both, in play order. */
final readonly class WrittenMusic
{
    /** Parts of a quarter; every length down to a thirty-second of a quintuplet is whole. */
    public const QUARTER = 960;

    /**
     * @param  list<WrittenNote>  $notes  by onset, then by pitch
     * @param  list<Moment>  $moments
     * @param  list<int>  $order  indices of measures, as they are played
     */
    private function __construct(public Piece $piece, public array $notes, public array $moments, public array $order) {}

    /**
     * @param  ?array{int, int}  $range  first and last index of a measure, played once as they are written; null for the whole, repeats followed
     */
    public static function of(Piece $piece, ?array $range = null, ?Hand $hand = null): self
    {
        $order = $range === null ? PlayOrder::of($piece) : range($range[0], $range[1]);
        $notes = self::notes($piece, $order, $hand);
        usort($notes, static fn (WrittenNote $a, WrittenNote $b): int => [$a->tick, $a->pitch, $a->hand === Hand::Left] <=> [$b->tick, $b->pitch, $b->hand === Hand::Left]);

        return new self($piece, $notes, self::moments($notes), $order);
    }

    /** The same music with one hand left out. */
    public function handAlone(Hand $hand): self
    {
        $notes = array_filter($this->notes, static fn (WrittenNote $note): bool => $note->hand === $hand);

        return new self($this->piece, $this->notes, self::moments($notes), $this->order);
    }

    public function has(Hand $hand): bool
    {
        return array_filter($this->notes, static fn (WrittenNote $note): bool => $note->hand === $hand) !== [];
    }

    /** Of a bar that a repeat has gone back to: the bar that comes when the repeat is through; both as they are played. Null of any other bar. */
    public function afterRepeat(int $bar): ?int
    {
        $again = $this->order[$bar] ?? null;
        $before = $this->order[$bar - 1] ?? null;
        if ($again === null || $before === null || $again > $before) {
            return null;
        }
        for ($at = $bar; isset($this->order[$at]); $at++) {
            if ($this->order[$at] > $before) {
                return $at;
            }
        }

        return null;
    }

    /**
     * @param  list<int>  $order
     * @return list<WrittenNote>
     */
    private static function notes(Piece $piece, array $order, ?Hand $hand): array
    {
        $notes = [];
        /** @var array<string, int> $held the note that a tie goes on from, by hand and key */
        $held = [];
        $rests = [];
        $from = Fraction::zero();
        foreach ($order as $bar => $index) {
            $measure = $piece->measures[$index];
            foreach ($measure->events() as $event) {
                if ($hand !== null && $event->hand !== $hand) {
                    continue;
                }
                $at = $from->plus($event->onset)->times(Fraction::of(4));
                foreach (self::keys($event) as $key => $tied) {
                    $name = "{$event->hand->value} {$key}";
                    $lasts = self::ticks($event->duration->whole->times(Fraction::of(4)));
                    if ($tied[0] && isset($held[$name]) && $notes[$held[$name]]->tick + $notes[$held[$name]]->lasts === self::ticks($at)) {
                        $notes[$held[$name]] = self::longer($notes[$held[$name]], $lasts);
                    } else {
                        $held[$name] = count($notes);
                        $notes[] = new WrittenNote($event->id, $at, self::ticks($at), $lasts, $key, $event->hand, $piece->place($event), $index, $bar, $rests[$event->hand->value] ?? false);
                    }
                    if (! $tied[1]) {
                        unset($held[$name]);
                    }
                }
                $rests[$event->hand->value] = $event->isRest();
            }
            $from = $from->plus($measure->length);
        }

        return array_values($notes);
    }

    /** @return array<int, array{bool, bool}> by key: it is tied on from before, and on to what comes */
    private static function keys(Event $event): array
    {
        $keys = [];
        foreach ($event->notes as $note) {
            $keys[$note->pitch->midi()] = [$note->tieStop, $note->tieStart];
        }

        return $keys;
    }

    private static function longer(WrittenNote $note, int $by): WrittenNote
    {
        return new WrittenNote($note->event, $note->at, $note->tick, $note->lasts + $by, $note->pitch, $note->hand, $note->place, $note->measure, $note->bar, $note->afterRest);
    }

    private static function ticks(Fraction $quarters): int
    {
        return intdiv($quarters->numerator * self::QUARTER, $quarters->denominator);
    }

    /**
     * @param  array<int, WrittenNote>  $notes  by their index, in time
     * @return list<Moment>
     */
    private static function moments(array $notes): array
    {
        $at = [];
        foreach ($notes as $i => $note) {
            $at[$note->tick][] = $i;
        }
        $moments = [];
        $bar = -1;
        foreach ($at as $tick => $of) {
            $now = $notes[$of[0]]->bar;
            $keys = array_values(array_unique(array_map(static fn (int $i): int => $notes[$i]->pitch, $of)));
            $moments[] = new Moment($tick, $of, $keys, $now !== $bar, $now);
            $bar = $now;
        }

        return $moments;
    }
}

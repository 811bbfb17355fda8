<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Note;
use Nasturtium\Core\Score\Piece;

/** What one hand strikes, moment by moment, its voices together. */
final class Strikes
{
    /** @var list<Strike> */
    private array $strikes = [];

    /** @var array<int, array{Fraction, Note}> what sounds: until when, in whole notes from the start of the measure, by key */
    private array $sounding = [];

    private int $slurs = 0;

    private bool $isShort = false;

    /** When it last struck, from the start of the measure. */
    private ?Fraction $before = null;

    private Fraction $silentFrom;

    private Fraction $beat;

    private Fraction $twoBeats;

    private readonly Fraction $eighth;

    private function __construct(private readonly Piece $piece, private readonly Hand $hand, private readonly OwnFingers $own)
    {
        $this->silentFrom = $this->beat = $this->twoBeats = Fraction::zero();
        $this->eighth = Fraction::of(1, 8);
    }

    /** @return list<Strike> */
    public static function of(Piece $piece, Hand $hand, OwnFingers $own): array
    {
        $strikes = new self($piece, $hand, $own);
        foreach ($piece->measures as $measure) {
            $strikes->measure($measure);
            $strikes->turn($measure->length);
        }

        return $strikes->strikes;
    }

    /** From the end of one measure to the start of the next. */
    private function turn(Fraction $length): void
    {
        $this->before = $this->before?->minus($length);
        $this->silentFrom = $this->silentFrom->minus($length);
        foreach ($this->sounding as $midi => [$until, $note]) {
            if ($until->compare($length) > 0) {
                $this->sounding[$midi] = [$until->minus($length), $note];
            } else {
                unset($this->sounding[$midi]);
            }
        }
    }

    private function measure(Measure $measure): void
    {
        $meter = $measure->meter;
        $this->beat = $meter->beat();
        $this->twoBeats = Fraction::of(2, $meter->unit);
        $moment = [];
        foreach ($measure->inTime($this->hand) as $event) {
            if ($event->isRest()) {
                continue;
            }
            if ($moment !== [] && ! $moment[0]->onset->equals($event->onset)) {
                $this->strike($moment);
                $moment = [];
            }
            $moment[] = $event;
        }
        if ($moment !== []) {
            $this->strike($moment);
        }
    }

    /** @param non-empty-list<Event> $moment */
    private function strike(array $moment): void
    {
        $at = $moment[0]->onset;
        $struck = [];
        foreach ($moment as $event) {
            foreach ($event->notes as $note) {
                if ($note->tieStop) {
                    $this->sounding[$note->pitch->midi()] = [$event->end, $this->sounding[$note->pitch->midi()][1] ?? $note];
                }
            }
            if ($event->isStruck()) {
                $struck[] = $event;
            }
        }
        if ($struck !== []) {
            $this->strikes[] = $this->found($struck, $at);
            $this->before = $at;
        }
        $this->after($moment);
    }

    /** @param non-empty-list<Event> $struck */
    private function found(array $struck, Fraction $at): Strike
    {
        $keys = [];
        $set = [];
        foreach ($this->sounding as $midi => [$until, $note]) {
            if ($until->compare($at) > 0) {
                $keys[$midi] = $note->pitch->diatonic();
            } else {
                unset($this->sounding[$midi]);
            }
        }
        $held = $keys;
        foreach ($struck as $event) {
            $own = $this->own->at($this->piece, $event);
            foreach ($event->notes as $i => $note) {
                if (! $note->tieStop) {
                    $midi = $note->pitch->midi();
                    $keys[$midi] = $note->pitch->diatonic();
                    unset($held[$midi]);
                    $set[$midi] = $own[$i] ?? $note->finger ?? $set[$midi] ?? null;
                }
            }
        }
        $direction = $this->hand->direction();
        if (count($keys) > 1) {
            $direction === 1 ? ksort($keys) : krsort($keys);
        }
        $order = array_keys($keys) ?: throw new \LogicException('what is struck has a key');
        $silence = $at->minus($this->silentFrom);
        $between = $this->before === null ? $silence : $at->minus($this->before);
        $inOrder = [];
        $letters = [];
        $isHeld = [];
        $fingers = [];
        foreach ($order as $midi) {
            $inOrder[] = $direction * $midi;
            $letters[] = $direction * ($keys[$midi] ?? 0);
            $isHeld[] = isset($held[$midi]);
            $fingers[] = $set[$midi] ?? null;
        }

        return new Strike(
            $struck,
            $inOrder,
            $letters,
            $isHeld,
            $fingers,
            $silence->numerator > 0 || $between->compare($this->twoBeats) >= 0,
            $silence->compare($this->beat) >= 0 || $this->isShort,
            $this->slurs > 0,
            $between->compare($this->eighth) <= 0,
        );
    }

    /** @param non-empty-list<Event> $moment */
    private function after(array $moment): void
    {
        $this->isShort = true;
        foreach ($moment as $event) {
            $this->isShort = $this->isShort && ($event->has(Mark::Staccato) || $event->has(Mark::Staccatissimo));
            foreach ($event->ink->slurs as $slur) {
                $this->slurs = max(0, $this->slurs + ($slur->starts ? 1 : -1));
            }
            $end = $event->end;
            $this->silentFrom = $this->silentFrom->max($end);
            foreach ($event->notes as $note) {
                if (! $note->tieStop) {
                    $this->sounding[$note->pitch->midi()] = [$end, $note];
                }
            }
        }
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SignKind;

/** Writes a piece as a MIDI file of format 1: a track for time and tempo and one for each hand, in play order. */
final class MidiWriter
{
    private const USUAL_TEMPO = 88;

    private const LEAST_TICKS = 480;

    private const MOST_TICKS = 30_720;

    private const LOUDNESS = ['ppp' => 30, 'pp' => 40, 'p' => 52, 'mp' => 64, 'mf' => 76, 'f' => 92, 'ff' => 106, 'fff' => 118];

    private const PERCUSSION = 9;

    /** Wood blocks, high and low. */
    private const CLICKS = [76, 77];

    /** Ticks of a quarter note. */
    private readonly int $ticks;

    /** When the music begins, in ticks. */
    private int $from = 0;

    /** @var list<int> indices of measures */
    private readonly array $order;

    private function __construct(private readonly Piece $piece)
    {
        $this->order = PlayOrder::of($piece);
        $this->ticks = self::ticksFor($piece);
    }

    /** @param bool $countIn click one bar first, by the rule of trade 5.5 */
    public static function write(Piece $piece, bool $countIn = false): string
    {
        return (new self($piece))->file($countIn);
    }

    private function file(bool $countIn): string
    {
        $tracks = [];
        if ($countIn) {
            $tracks[] = $this->countIn();
        }
        foreach (Hand::cases() as $hand) {
            if ($this->piece->plays($hand)) {
                $tracks[] = $this->hand($hand);
            }
        }
        array_unshift($tracks, $this->conductor());
        $chunks = 'MThd'.pack('Nnnn', 6, 1, count($tracks), $this->ticks);
        foreach ($tracks as $track) {
            $chunks .= 'MTrk'.pack('N', strlen($track)).$track;
        }

        return $chunks;
    }

    /** As many ticks as make every moment of the piece a whole number, while they fit. */
    private static function ticksFor(Piece $piece): int
    {
        $ticks = 1;
        foreach ($piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                foreach ([$event->onset, $event->end] as $moment) {
                    $needed = $moment->times(Fraction::of(4))->denominator;
                    $ticks = Fraction::of($ticks, $needed)->numerator * $needed;
                    if ($ticks > self::MOST_TICKS) {
                        return self::MOST_TICKS;
                    }
                }
            }
        }

        return $ticks * (int) ceil(self::LEAST_TICKS / $ticks);
    }

    /** @param Fraction $whole from the start of the music */
    private function at(Fraction $whole): int
    {
        return $this->from + intdiv(4 * $this->ticks * $whole->numerator, $whole->denominator);
    }

    private function conductor(): string
    {
        $track = new MidiTrack($this->piece->title);
        $track->tempo(0, $this->piece->tempo ?? self::USUAL_TEMPO);
        $at = Fraction::zero();
        $before = null;
        foreach ($this->order as $index) {
            $measure = $this->piece->measures[$index];
            $pickup = $before === null && $this->from === 0 ? self::pickupMeter($measure) : null;
            if ($pickup !== null) {
                // One bar of its own time signature, so that the bars after it begin where they do on the page.
                $track->time(0, $pickup);
                $track->time($this->at($measure->length), $measure->meter);
            } elseif ($before === null || ! $before->meter->equals($measure->meter)) {
                $track->time($before === null ? 0 : $this->at($at), $measure->meter);
            }
            if ($before === null || ! $before->key->equals($measure->key)) {
                $track->key($before === null ? 0 : $this->at($at), $measure->key);
            }
            foreach ($measure->signs as $sign) {
                if ($sign->metronome !== null) {
                    $track->tempo($this->at($at->plus($sign->onset)), $sign->metronome->quarters());
                }
            }
            $before = $measure;
            $at = $at->plus($measure->length);
        }

        return $track->bytes($this->at($at));
    }

    private static function pickupMeter(Measure $measure): ?Meter
    {
        $length = $measure->length;
        if (! $measure->pickup || $length->denominator > 32 || ($length->denominator & ($length->denominator - 1)) !== 0) {
            return null;
        }
        $unit = max($measure->meter->unit, $length->denominator);

        return new Meter(intdiv($length->numerator * $unit, $length->denominator), $unit);
    }

    private function countIn(): string
    {
        $first = $this->piece->measures[$this->order[0] ?? 0];
        $countIn = CountIn::for($first->meter, $first->pickup ? $first->length : Fraction::zero());
        $track = new MidiTrack('Count-in');
        $beat = Fraction::of(1, $first->meter->unit);
        foreach ($countIn->counts as $i => $count) {
            $at = $this->at($beat->times(Fraction::of($i)));
            [$key, $velocity] = $count === '1' ? [self::CLICKS[0], 110] : [self::CLICKS[1], 80];
            $track->note($at, $at + intdiv($this->ticks, 8), $key, $velocity, self::PERCUSSION);
        }
        $part = $first->meter->beats($first->offset)->part();
        $gap = $part->isZero() ? Fraction::zero() : Fraction::of(1)->minus($part);
        $this->from = $this->at($beat->times(Fraction::of(count($countIn->counts))->minus($gap)));

        return $track->bytes($this->from);
    }

    private function hand(Hand $hand): string
    {
        $channel = $hand === Hand::Right ? 0 : 1;
        $track = new MidiTrack(ucfirst($hand->word()));
        $playback = Playback::whole($this->piece);
        $unit = Fraction::of(1, $this->piece->meter()->unit);
        $loudness = $this->loudness($hand);
        foreach ($playback->sounds as $sound) {
            if ($sound->hand !== $hand) {
                continue;
            }
            foreach ($sound->keys as $key) {
                $track->note(
                    $this->at($sound->at->times($unit)),
                    $this->at($sound->at->plus($sound->held($key))->times($unit)),
                    $key,
                    $loudness[$sound->id] ?? self::LOUDNESS['mf'],
                    $channel,
                );
            }
        }

        return $track->bytes($this->at($playback->beats->times($unit)));
    }

    /** @return array<string, int> velocity by event id; a dynamic holds until the next, and between the staves for both */
    private function loudness(Hand $hand): array
    {
        $velocity = self::LOUDNESS['mf'];
        $byEvent = [];
        foreach ($this->piece->measures as $measure) {
            $signs = array_values(array_filter($measure->signs, static fn (Sign $sign): bool => $sign->kind === SignKind::Dynamic));
            foreach ($measure->inTime($hand) as $event) {
                while ($signs !== [] && $signs[0]->onset->compare($event->onset) <= 0) {
                    $velocity = self::LOUDNESS[array_shift($signs)->text] ?? $velocity;
                }
                $byEvent[$event->id] = $velocity;
            }
            foreach ($signs as $sign) {
                $velocity = self::LOUDNESS[$sign->text] ?? $velocity;
            }
        }

        return $byEvent;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;

/** Where the bars begin in what was played. */
final class BarLines
{
    private const MOST_METERS = 300;

    /** Empty bars before the music, which are no part of the page. */
    public int $skipped = 0;

    /** What is silent at the start of the first bar, when the piece begins with a pickup; in whole notes. */
    public Fraction $cut;

    /** Whether a first bar of its own, shorter time signature is the pickup. */
    public readonly bool $isSaid;

    /** @var non-empty-list<array{Fraction, Meter}> from which moment on */
    private array $meters;

    /** What the first bar lacks: all moments are so much later in the bars than in the file; in whole notes. */
    private Fraction $lead;

    /**
     * @param  list<array{int, Meter}>  $meters  from which tick on, in time
     *
     * @throws BadInput
     */
    public function __construct(array $meters, int $ticks)
    {
        $this->cut = $this->lead = Fraction::zero();
        $this->meters = [[Fraction::zero(), new Meter(4, 4)]];
        foreach ($meters as [$tick, $meter]) {
            $from = Fraction::of($tick, 4 * $ticks);
            if ($from->isZero()) {
                $this->meters = [[$from, $meter]];
            } elseif (! $this->meters[count($this->meters) - 1][1]->equals($meter)) {
                $this->meters[] = [$from, $meter];
            }
        }
        if (count($this->meters) > self::MOST_METERS) {
            throw BadMidi::tooManyTimeSignatures(self::MOST_METERS);
        }
        $this->isSaid = $this->takePickupMeter();
    }

    /** A pickup is often written as one bar of a shorter time signature. */
    private function takePickupMeter(): bool
    {
        $next = $this->meters[1] ?? null;
        $first = $this->meters[0][1];
        if ($next === null || ! $next[0]->equals($first->measure()) || $first->measure()->compare($next[1]->measure()) >= 0) {
            return false;
        }
        $this->meters = [[Fraction::zero(), $next[1]], ...array_slice($this->meters, 2)];
        $this->begin($first->measure());

        return true;
    }

    /** The first bar is a pickup of this length, in whole notes; zero where the piece begins with a whole bar. */
    public function begin(Fraction $pickup): void
    {
        $full = $this->first()->measure();
        $this->lead = $this->cut = $pickup->isZero() ? $pickup : $full->minus($pickup);
    }

    public function first(): Meter
    {
        return $this->meters[0][1];
    }

    /** There is a bar of another length before the given moment of the file, so bar lines cannot be moved. */
    public function changes(): bool
    {
        return count($this->meters) > 1;
    }

    /**
     * @param  Fraction  $moment  of the file, in whole notes
     * @return Fraction the same moment from the start of the first bar, whatever of it is silent
     */
    public function inBars(Fraction $moment): Fraction
    {
        return $moment->plus($this->lead);
    }

    /**
     * @param  Fraction  $moment  from the start of the first bar
     * @return array{int, Fraction, Meter} the bar from 0, the moment in it, and its time signature
     */
    public function place(Fraction $moment): array
    {
        $bar = 0;
        foreach ($this->meters as $i => [$from, $meter]) {
            $from = $i === 0 ? $from : $from->plus($this->lead);
            $next = isset($this->meters[$i + 1]) ? $this->meters[$i + 1][0]->plus($this->lead) : null;
            if ($next !== null && $moment->compare($next) >= 0) {
                $bar += $next->minus($from)->dividedBy($meter->measure())->ceil();

                continue;
            }
            $within = $moment->minus($from);
            $whole = $within->dividedBy($meter->measure())->floor();

            return [$bar + $whole, $within->minus($meter->measure()->times(Fraction::of($whole))), $meter];
        }

        return [0, $moment, $this->meters[0][1]];
    }
}

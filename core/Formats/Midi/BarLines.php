<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;

/** Where the bars begin in what was played. */
final class BarLines
{
    /** Empty bars before the music, which are no part of the page. */
    public int $skipped = 0;

    /** What is silent at the start of the first bar, when the piece begins with a pickup; in whole notes. */
    public Fraction $cut;

    /** @var non-empty-list<array{Fraction, Meter}> from which moment on */
    private array $meters;

    /** @param list<array{int, Meter}> $meters from which tick on, in time */
    public function __construct(array $meters, int $ticks)
    {
        $this->cut = Fraction::zero();
        $this->meters = [[Fraction::zero(), new Meter(4, 4)]];
        foreach ($meters as [$tick, $meter]) {
            $from = Fraction::of($tick, 4 * $ticks);
            if ($from->isZero()) {
                $this->meters = [[$from, $meter]];
            } elseif (! $this->meters[count($this->meters) - 1][1]->equals($meter)) {
                $this->meters[] = [$from, $meter];
            }
        }
    }

    /** @return array{int, Fraction, Meter} the bar from 0, the moment in it, and its time signature */
    public function place(Fraction $moment): array
    {
        $bar = 0;
        foreach ($this->meters as $i => [$from, $meter]) {
            $next = $this->meters[$i + 1][0] ?? null;
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

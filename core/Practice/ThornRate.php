<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Words;

/** Whether thorns point at what goes wrong: slips in bars that have one against slips elsewhere, per bar heard (trade 6.4). */
final readonly class ThornRate
{
    /** Slips that it takes to say anything. */
    public const LEAST = 20;

    /**
     * @param  int  $slipsOn  in bars with a thorn
     * @param  int  $barsOn  with a thorn that were heard, each time counted
     */
    public function __construct(public int $slipsOn = 0, public int $barsOn = 0, public int $slipsElsewhere = 0, public int $barsElsewhere = 0) {}

    /**
     * With one more task that was heard, or several of the same bars.
     *
     * @param  list<int>  $thorns  indices of measures
     */
    public function heard(array $thorns, int $first, int $last, int $times = 1): self
    {
        $on = count(array_filter($thorns, static fn (int $bar): bool => $bar >= $first && $bar <= $last));

        return new self($this->slipsOn, $this->barsOn + $times * $on, $this->slipsElsewhere, $this->barsElsewhere + $times * ($last - $first + 1 - $on));
    }

    /**
     * With a slip, over one bar or several: on a thorn when one of them has it.
     *
     * @param  list<int>  $thorns  indices of measures
     */
    public function slipped(array $thorns, int $first, int $last, int $times = 1): self
    {
        $isOn = array_filter($thorns, static fn (int $bar): bool => $bar >= $first && $bar <= $last) !== [];

        return new self($this->slipsOn + ($isOn ? $times : 0), $this->barsOn, $this->slipsElsewhere + ($isOn ? 0 : $times), $this->barsElsewhere);
    }

    /** @return ?Fraction how many times as often as elsewhere; null while too little was heard */
    public function ratio(): ?Fraction
    {
        if ($this->slipsOn + $this->slipsElsewhere < self::LEAST || $this->barsOn === 0 || $this->barsElsewhere === 0 || $this->slipsElsewhere === 0) {
            return null;
        }

        return Fraction::of($this->slipsOn, $this->barsOn)->dividedBy(Fraction::of($this->slipsElsewhere, $this->barsElsewhere));
    }

    /** In one sentence, with the counts behind it. */
    public function words(): string
    {
        $behind = Words::counted($this->slipsOn, 'slip').' in '.Words::counted($this->barsOn, 'bar').' with a thorn, '.Words::counted($this->slipsElsewhere, 'slip').' in '.Words::counted($this->barsElsewhere, 'other bar');
        $ratio = $this->ratio();
        if ($ratio === null) {
            return 'Too little was heard yet to say whether thorns stand where it goes wrong: '.$behind.'.';
        }

        return 'Where a thorn stands, something went wrong '.self::tenths($ratio).' times as often as elsewhere: '.$behind.'.';
    }

    private static function tenths(Fraction $ratio): string
    {
        $tenths = $ratio->times(Fraction::of(10))->plus(Fraction::of(1, 2))->floor();

        return intdiv($tenths, 10).($tenths % 10 === 0 ? '' : '.'.$tenths % 10);
    }
}

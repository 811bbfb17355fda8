<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Meter;

/** Time and key through the bars, which all voices share; the first line of a printed line may change them. */
final class Frame
{
    /** @var non-empty-list<array{int, Meter}> from which bar on */
    private array $meters;

    /** @var non-empty-list<array{int, Fraction, Key}> from which bar and moment on */
    private array $keys;

    /** Whether the line that is read now is the first of its printed line. */
    public bool $leading = true;

    public function __construct(Meter $meter, Key $key)
    {
        $this->meters = [[0, $meter]];
        $this->keys = [[0, Fraction::zero(), $key]];
    }

    public function meterAt(int $bar): Meter
    {
        [$low, $high] = [0, count($this->meters) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            [$low, $high] = $this->meters[$middle][0] <= $bar ? [$middle, $high] : [$low, $middle - 1];
        }

        return $this->meters[$low][1];
    }

    /** @throws BadShorthand in a line that only follows */
    public function setMeter(int $bar, Meter $meter): void
    {
        if ($this->leading) {
            $this->meters[] = [$bar, $meter];
        } elseif (! $this->meterAt($bar)->looksLike($meter)) {
            throw BadShorthand::timeOfOneHand($meter->printed());
        }
    }

    public function keyAt(int $bar, Fraction $onset): Key
    {
        [$low, $high] = [0, count($this->keys) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            [$from, $moment] = $this->keys[$middle];
            $isBefore = $from < $bar || ($from === $bar && $moment->compare($onset) <= 0);
            [$low, $high] = $isBefore ? [$middle, $high] : [$low, $middle - 1];
        }

        return $this->keys[$low][2];
    }

    /** @throws BadShorthand in a line that only follows */
    public function setKey(int $bar, Fraction $onset, Key $key): void
    {
        if ($this->leading) {
            $this->keys[] = [$bar, $onset, $key];
        } elseif (! $this->keyAt($bar, $onset)->equals($key)) {
            throw BadShorthand::keyOfOneHand($key->typed());
        }
    }

    /** @return list<array{Fraction, Key}> changes inside a bar */
    public function keysInside(int $bar): array
    {
        $inside = [];
        foreach ($this->keys as [$from, $onset, $key]) {
            if ($from === $bar && ! $onset->isZero()) {
                $inside[] = [$onset, $key];
            }
        }

        return $inside;
    }
}

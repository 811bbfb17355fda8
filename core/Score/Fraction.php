<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** An exact number in lowest terms; time is never a float here. */
final readonly class Fraction implements \Stringable
{
    private const KEPT_DENOMINATOR = 64;

    private const KEPT_NUMERATOR = 256;

    private function __construct(public int $numerator, public int $denominator) {}

    /** @throws InvalidScore when the denominator is zero or the number is too fine to be kept exactly */
    public static function of(int $numerator, int $denominator = 1): self
    {
        if ($denominator === 1) {
            return self::lowest($numerator, 1);
        }
        if ($denominator > 0 && $denominator <= self::KEPT_DENOMINATOR && $numerator >= 0 && $numerator <= self::KEPT_NUMERATOR) {
            /** @var array<int, array<int, self>> $kept as they are given, whether in lowest terms or not */
            static $kept = [];

            return $kept[$denominator][$numerator] ??= self::reduced($numerator, $denominator);
        }

        return self::reduced($numerator, $denominator);
    }

    private static function reduced(int $numerator, int $denominator): self
    {
        if ($denominator === 0) {
            throw InvalidScore::dividedByZero($numerator);
        }
        if ($denominator < 0) {
            [$numerator, $denominator] = [-$numerator, -$denominator];
        }
        [$a, $b] = [abs($numerator), $denominator];
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return self::lowest(intdiv($numerator, $a), intdiv($denominator, $a));
    }

    /** The lengths and beats of a page are few, and the same again and again: each small one is made once. */
    private static function lowest(int $numerator, int $denominator): self
    {
        /** @var array<int, array<int, self>> $kept */
        static $kept = [];
        if ($denominator > self::KEPT_DENOMINATOR || $numerator < 0 || $numerator > self::KEPT_NUMERATOR) {
            return new self($numerator, $denominator);
        }

        return $kept[$denominator][$numerator] ??= new self($numerator, $denominator);
    }

    public static function zero(): self
    {
        return self::lowest(0, 1);
    }

    public function plus(self $other): self
    {
        return $this->denominator === $other->denominator
            ? self::exact($this->numerator + $other->numerator, $this->denominator)
            : self::exact(
                $this->numerator * $other->denominator + $other->numerator * $this->denominator,
                $this->denominator * $other->denominator,
            );
    }

    public function minus(self $other): self
    {
        return $this->denominator === $other->denominator
            ? self::exact($this->numerator - $other->numerator, $this->denominator)
            : self::exact(
                $this->numerator * $other->denominator - $other->numerator * $this->denominator,
                $this->denominator * $other->denominator,
            );
    }

    public function times(self $other): self
    {
        return self::exact($this->numerator * $other->numerator, $this->denominator * $other->denominator);
    }

    /** @throws InvalidScore when the other is zero */
    public function dividedBy(self $other): self
    {
        return self::exact($this->numerator * $other->denominator, $this->denominator * $other->numerator);
    }

    /** @return int below, at or above zero as this is smaller, equal or greater */
    public function compare(self $other): int
    {
        return $this->numerator * $other->denominator <=> $other->numerator * $this->denominator;
    }

    public function equals(self $other): bool
    {
        return $this->numerator === $other->numerator && $this->denominator === $other->denominator;
    }

    public function isZero(): bool
    {
        return $this->numerator === 0;
    }

    /** The greatest whole number not above this one. */
    public function floor(): int
    {
        $whole = intdiv($this->numerator, $this->denominator);

        return $this->numerator < 0 && $whole * $this->denominator !== $this->numerator ? $whole - 1 : $whole;
    }

    /** The smallest whole number not below this one. */
    public function ceil(): int
    {
        return -(new self(-$this->numerator, $this->denominator))->floor();
    }

    /** What is left above the floor: from 0 up to but not including 1. */
    public function part(): self
    {
        // It has no factor in common with the denominator that the whole number has not.
        return self::lowest($this->numerator - $this->floor() * $this->denominator, $this->denominator);
    }

    public function max(self $other): self
    {
        return $this->compare($other) >= 0 ? $this : $other;
    }

    /** For display and playback only, never for a comparison. */
    public function toFloat(): float
    {
        return $this->numerator / $this->denominator;
    }

    /** `3`, `1/2`, `-7/4`. */
    public function __toString(): string
    {
        return $this->denominator === 1 ? (string) $this->numerator : "{$this->numerator}/{$this->denominator}";
    }

    private static function exact(mixed $numerator, mixed $denominator): self
    {
        // A product beyond 64 bits turns into a float in PHP; that would no longer be exact.
        if (! is_int($numerator) || ! is_int($denominator)) {
            throw InvalidScore::tooFine();
        }

        return self::of($numerator, $denominator);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** A time signature. Its beat is its lower number: 6/8 has six. */
final readonly class Meter
{
    private const UNITS = [1, 2, 4, 8, 16, 32];

    /**
     * @param  string  $symbol  `common` or `cut` when a sign is printed in place of the numbers
     * @param  list<int>  $groups  the beats as printed, such as 3+2; none when it is one number
     *
     * @throws InvalidScore when there are no beats, over 32 of them, or the unit is no note value
     */
    public function __construct(public int $count, public int $unit, public string $symbol = '', public array $groups = [])
    {
        if ($count < 1 || $count > 32 || ! in_array($unit, self::UNITS, true)) {
            throw InvalidScore::noMeter($count, $unit);
        }
    }

    /** @throws InvalidScore when it does not read `3/4`, `3+2/8`, or `C` and `C|` for the two signs */
    public static function parse(string $text): self
    {
        $sign = ['C' => [4, 4, 'common'], 'C|' => [2, 2, 'cut']][trim($text)] ?? null;
        if ($sign !== null) {
            return new self(...$sign);
        }
        if (preg_match('~^\s*(\d{1,2}(?:\s*\+\s*\d{1,2})*)\s*/\s*(\d{1,2})\s*$~', $text, $found) !== 1) {
            throw InvalidScore::notATimeSignature($text);
        }
        $groups = array_map(intval(...), explode('+', $found[1]));

        return new self((int) array_sum($groups), (int) $found[2], '', count($groups) > 1 ? $groups : []);
    }

    /** As it is printed and typed: `3/4`, `3+2/8`, `C`. */
    public function printed(): string
    {
        return match (true) {
            $this->symbol === 'common' => 'C',
            $this->symbol === 'cut' => 'C|',
            $this->groups !== [] => implode('+', $this->groups)."/{$this->unit}",
            default => (string) $this,
        };
    }

    /** A full measure, in whole notes. */
    public function measure(): Fraction
    {
        return Fraction::of($this->count, $this->unit);
    }

    /** A length in whole notes as a number of beats. */
    public function beats(Fraction $whole): Fraction
    {
        return Fraction::of($whole->numerator * $this->unit, $whole->denominator);
    }

    /** 6/8, 9/8, 12/8: three eighths make a felt beat. */
    public function isCompound(): bool
    {
        return $this->unit === 8 && $this->count > 3 && $this->count % 3 === 0;
    }

    /** A felt beat, in whole notes: 3/8 in 6/8, else the lower number. */
    public function beat(): Fraction
    {
        return Fraction::of($this->isCompound() ? 3 : 1, $this->unit);
    }

    public function equals(self $other): bool
    {
        return $this->count === $other->count && $this->unit === $other->unit;
    }

    /** Equal, and printed the same way. */
    public function looksLike(self $other): bool
    {
        return $this->equals($other) && $this->symbol === $other->symbol && $this->groups === $other->groups;
    }

    public function __toString(): string
    {
        return "{$this->count}/{$this->unit}";
    }
}

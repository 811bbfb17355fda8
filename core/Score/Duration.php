<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** An exact length in whole notes: 1/4 is a quarter note, 3/8 a dotted quarter. */
final readonly class Duration
{
    private const VALUES = ['whole' => 1, 'half' => 2, 'quarter' => 4, 'eighth' => 8, '16th' => 16, '32nd' => 32, '64th' => 64];

    private function __construct(public Fraction $whole) {}

    /** @throws InvalidScore when the denominator is zero or the length negative */
    public static function of(int $numerator, int $denominator = 1): self
    {
        return self::ofWhole(Fraction::of($numerator, $denominator));
    }

    /** @throws InvalidScore when the length is negative */
    public static function ofWhole(Fraction $whole): self
    {
        if ($whole->numerator < 0) {
            throw InvalidScore::lengthBelowZero($whole);
        }

        return new self($whole);
    }

    /** A plain or dotted note value, such as ('quarter', 1) for a dotted quarter. */
    public static function ofNote(string $value, int $dots = 0): self
    {
        $denominator = self::VALUES[$value] ?? throw InvalidScore::notANoteValue($value);

        return self::of(2 ** ($dots + 1) - 1, $denominator * 2 ** $dots);
    }

    /**
     * How this length is written as one note.
     *
     * @return array{string, int}|null the note value and its dots; null when it takes a tie or a tuplet
     */
    public function asNote(): ?array
    {
        /** @var array<int, array<int, array{string, int}>> $notes by denominator and numerator */
        static $notes = [];
        if ($notes === []) {
            foreach (self::VALUES as $value => $denominator) {
                foreach ([0, 1, 2] as $dots) {
                    $length = Fraction::of(2 ** ($dots + 1) - 1, $denominator * 2 ** $dots);
                    $notes[$length->denominator][$length->numerator] = [$value, $dots];
                }
            }
        }

        return $notes[$this->whole->denominator][$this->whole->numerator] ?? null;
    }

    /** How many beats of this meter; a fraction, as a dotted quarter in 4/4 is 3/2. */
    public function inBeatsOf(Meter $meter): Fraction
    {
        return $meter->beats($this->whole);
    }

    public function equals(self $other): bool
    {
        return $this->whole->equals($other->whole);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;

/** What is said at each moment of a bar, by its place in the beat that is counted (trade 5.1). */
final readonly class BeatWords
{
    /** Said where no count falls, as on the second note of five in a beat. */
    public const BETWEEN = '·';

    private const NUMBERS = ['1/4' => 'e', '1/2' => '&', '3/4' => 'a', '1/3' => 'trip', '2/3' => 'let'];

    private const NUMBERS_IN_THREE = ['1/3' => 'la', '2/3' => 'li', '1/6' => 'ta', '1/2' => 'ta', '5/6' => 'ta'];

    private const DU_DE = ['0' => 'du', '1/4' => 'ta', '1/2' => 'de', '3/4' => 'ta', '1/3' => 'da', '2/3' => 'di'];

    private const DU_DE_IN_THREE = ['0' => 'du', '1/3' => 'da', '2/3' => 'di', '1/6' => 'ta', '1/2' => 'ta', '5/6' => 'ta'];

    /**
     * @param  int  $size  beats of the time signature that make a counted one: 3 when three eighths do
     * @param  array<array-key, string>  $parts  words by the part of a beat; the number of the beat where there is none for its start
     */
    private function __construct(private Meter $meter, public int $size, private array $parts) {}

    public static function of(Meter $meter, CountWay $way): self
    {
        $duDe = $way->system === CountingSystem::DuDe;
        if ($meter->isCompound() && ($duDe || $way->compound === CompoundBeats::DottedQuarters)) {
            return new self($meter, 3, $duDe ? self::DU_DE_IN_THREE : self::NUMBERS_IN_THREE);
        }

        return new self($meter, 1, $duDe ? self::DU_DE : self::NUMBERS);
    }

    /** @param Fraction $whole in whole notes from the start of a full bar */
    public function beats(Fraction $whole): Fraction
    {
        return $this->meter->beats($whole)->dividedBy(Fraction::of($this->size));
    }

    /** @param Fraction $beats counted beats from the start of a full bar: 0 is beat one */
    public function at(Fraction $beats): string
    {
        $part = $beats->part();

        return $this->parts[(string) $part] ?? ($part->isZero() ? (string) ($beats->floor() + 1) : self::BETWEEN);
    }

    /** Into how many parts a beat is divided so that this moment is said; the fewest that beats are divided into at all are 2, or 3. */
    public function divisionAt(Fraction $beats): int
    {
        $parts = $beats->part()->denominator;
        if ($this->size === 3) {
            return match ($parts) {
                1 => 1,
                3 => 3,
                default => 6,
            };
        }

        return match ($parts) {
            1 => 1,
            2 => 2,
            3, 6 => 3,
            default => 4,
        };
    }

    public function usualDivision(): int
    {
        return $this->size === 3 ? 3 : 2;
    }

    /** How many beats of a full bar are counted. */
    public function count(): int
    {
        return intdiv($this->meter->count, $this->size);
    }
}

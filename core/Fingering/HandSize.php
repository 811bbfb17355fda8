<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

/** How far a student's hand reaches. */
final readonly class HandSize
{
    /** The span that is taken where none is given: a sixth. */
    public const USUAL = 6;

    /** Under this age a hand that nobody has measured is small. */
    private const SMALL_UNDER = 10;

    private function __construct(public Reach $reach, public int $letters) {}

    public static function usual(): self
    {
        return new self(Reach::usual(), self::USUAL);
    }

    /**
     * @param  int  $span  white keys from thumb to little finger, both counted: 8 is an octave
     * @param  int|null  $age  in years; null where it is not known
     */
    public static function of(int $span, ?int $age = null): self
    {
        $isSmall = $age !== null && $age < self::SMALL_UNDER && $span <= self::USUAL;

        return new self($isSmall ? Reach::small() : Reach::usual(), max(self::USUAL, $span));
    }
}

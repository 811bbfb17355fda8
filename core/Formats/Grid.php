<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

use Nasturtium\Core\Choice;
use Nasturtium\Core\Score\Fraction;

/** The shortest step that notes played freely are laid on. */
enum Grid: string implements Choice
{
    case Quarters = 'quarter';
    case Eighths = 'eighth';
    case Sixteenths = 'sixteenth';
    case Triplets = 'triplet';

    public function label(): string
    {
        return match ($this) {
            self::Quarters => 'Crotchets',
            self::Eighths => 'Quavers',
            self::Sixteenths => 'Semiquavers',
            self::Triplets => 'Triplets',
        };
    }

    /** Off the grid by more than this part of a step is uncertain. */
    private const OFF = [1, 4];

    /** Whether a moment, in whole notes, stands between two steps. */
    public function misses(Fraction $moment): bool
    {
        $steps = $moment->dividedBy($this->step());
        $off = $steps->minus(Fraction::of($this->nearest($moment)));

        return ($off->numerator < 0 ? Fraction::zero()->minus($off) : $off)->compare(Fraction::of(...self::OFF)) > 0;
    }

    /** The number of the step that is nearest to a moment, in whole notes. */
    public function nearest(Fraction $moment): int
    {
        return $moment->dividedBy($this->step())->plus(Fraction::of(1, 2))->floor();
    }

    /** In whole notes. */
    public function step(): Fraction
    {
        return match ($this) {
            self::Quarters => Fraction::of(1, 4),
            self::Eighths => Fraction::of(1, 8),
            self::Sixteenths => Fraction::of(1, 16),
            self::Triplets => Fraction::of(1, 12),
        };
    }
}

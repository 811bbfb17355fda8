<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** What a small sign of the print is. */
enum Shape: string
{
    case Sharp = 'sharp';
    case Flat = 'flat';
    case Natural = 'natural';
    case QuarterRest = 'quarterRest';
    case EighthRest = 'eighthRest';
    case SixteenthRest = 'sixteenthRest';
    case One = '1';
    case Two = '2';
    case Three = '3';
    case Four = '4';
    case Five = '5';
    case Text = 'text';

    public function alter(): ?int
    {
        return match ($this) {
            self::Sharp => 1,
            self::Flat => -1,
            self::Natural => 0,
            default => null,
        };
    }

    public function finger(): ?int
    {
        return ctype_digit($this->value) ? (int) $this->value : null;
    }

    public function isRest(): bool
    {
        return in_array($this, [self::QuarterRest, self::EighthRest, self::SixteenthRest], true);
    }
}

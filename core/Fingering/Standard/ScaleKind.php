<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Standard;

/** The scales that have standard fingers. */
enum ScaleKind: string
{
    case Major = 'major';
    case Natural = 'natural minor';
    case Harmonic = 'harmonic minor';
    case Melodic = 'melodic minor';

    /** @return non-empty-list<int> half steps above the tonic, by degree; of the melodic form as it goes up */
    public function halfSteps(): array
    {
        return match ($this) {
            self::Major => [0, 2, 4, 5, 7, 9, 11],
            self::Natural => [0, 2, 3, 5, 7, 8, 10],
            self::Harmonic => [0, 2, 3, 5, 7, 8, 11],
            self::Melodic => [0, 2, 3, 5, 7, 9, 11],
        };
    }

    public function isMinor(): bool
    {
        return $this !== self::Major;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill\Kinds;

use Nasturtium\Core\Drill\Option;
use Nasturtium\Core\Formats\MusicXml\StaffLine;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Pitch;

/** What cards show of notes. */
final readonly class Shown
{
    public static function nameOf(Clef $clef, Pitch $pitch): string
    {
        return "{$clef->value}:{$pitch->name()}";
    }

    public static function note(Clef $clef, Pitch ...$pitches): string
    {
        return StaffLine::write($clef, [array_map(static fn (Pitch $pitch): array => [$pitch, Duration::of(1, 4)], array_values($pitches))]);
    }

    /**
     * @param  list<string>  $words  each the name of itself
     * @return list<Option>
     */
    public static function options(array $words): array
    {
        return array_map(static fn (string $word): Option => new Option($word, $word), $words);
    }

    public static function spelled(Pitch $pitch): string
    {
        return strtr($pitch->spelled(), ['#' => '♯', 'b' => '♭']);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Measure;

/** The moments of a bar that are said (trade 5.2). */
final readonly class BeatGrid
{
    /** @return list<Fraction> counted beats from the start of a full bar, in order */
    public static function of(Measure $measure, BeatWords $words, CountStyle $style): array
    {
        $from = $words->beats($measure->offset);
        $to = $from->plus($words->beats($measure->length));
        $divisions = self::divisions($measure, $words);
        $usual = $words->usualDivision();
        $everywhere = $style === CountStyle::WholeBar && array_filter($divisions, static fn (int $by): bool => $by % $usual === 0) !== [];
        $grid = [];
        for ($beat = $from->floor(); Fraction::of($beat)->compare($to) < 0; $beat++) {
            $by = $divisions[$beat] ?? ($everywhere ? $usual : 1);
            for ($part = 0; $part < $by; $part++) {
                $moment = Fraction::of($beat * $by + $part, $by);
                if ($moment->compare($from) >= 0 && $moment->compare($to) < 0) {
                    $grid[] = $moment;
                }
            }
        }

        return $grid;
    }

    /** @return array<int, int> into how many parts each beat is divided, by beat from 0; undivided beats are left out */
    private static function divisions(Measure $measure, BeatWords $words): array
    {
        $divisions = [];
        foreach ($measure->events() as $event) {
            foreach ([$event->onset, $event->end] as $moment) {
                $beats = $words->beats($measure->offset->plus($moment));
                $by = $words->divisionAt($beats);
                if ($by > ($divisions[$beats->floor()] ?? 1)) {
                    $divisions[$beats->floor()] = $by;
                }
            }
        }

        return $divisions;
    }
}

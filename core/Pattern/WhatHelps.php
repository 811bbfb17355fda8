<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** What to do about a place that sticks, in one sentence for its heaviest reason (trade 6.4). */
final readonly class WhatHelps
{
    public static function with(StickingPoint $point, Piece $piece): ?string
    {
        $reason = $point->reasons[0] ?? null;
        if ($reason?->difficulty === Difficulty::Teacher) {
            $reason = $point->reasons[1] ?? $reason;
        }
        if ($reason === null) {
            return null;
        }
        $measure = $piece->measures[$point->index];
        $next = $piece->measures[$point->index + 1] ?? null;
        // The halves of a divided bar have one number.
        $next = $next?->number === $measure->number ? null : $next;
        $bar = $measure->number === 0 ? 'the pickup' : "bar {$measure->number}";
        $into = $next === null ? $bar : "{$bar} into bar {$next->number}";
        $hand = $reason->hand;
        $alone = $hand === null || ! $piece->plays(Hand::Right) || ! $piece->plays(Hand::Left) ? '' : ucfirst($hand->word()).' alone, ';
        $both = $alone === '' ? '' : ' Then both hands.';
        $move = $reason->leadsOn && $next !== null ? "the move from {$bar} to bar {$next->number}" : "the move in {$bar}";

        return ucfirst(match ($reason->difficulty) {
            Difficulty::NewNote => "find and name the new notes of {$bar} on the keys, then play it slowly.",
            Difficulty::ShakyNote => "name the notes of {$bar} aloud, twice, then play it.",
            Difficulty::Leap, Difficulty::Shift, Difficulty::Crossing => "{$alone}{$move}, five times.{$both}",
            Difficulty::Accidental => "point to the sharps and flats of {$bar} and touch their keys, then play it.",
            Difficulty::RestInside => "tap {$bar} and say the rest aloud, then play it.",
            Difficulty::Dotted, Difficulty::Tie, Difficulty::Mixed, Difficulty::Triplet => "tap and count {$bar} three times, then play it.",
            Difficulty::OtherRhythm => "tap {$bar} with both hands, slowly, until it goes smoothly; then play it.",
            Difficulty::OtherDirection => "{$into}: each hand once, then both, very slowly, three times.",
            Difficulty::SameDirection, Difficulty::OverOneNote => "{$into}, both hands, slowly, three times.",
            Difficulty::LineTurn => "{$into} over the line end, three times. Look ahead.",
            Difficulty::WeakRun => "{$alone}{$bar} slowly, twice. Stop if it aches.",
            Difficulty::Teacher => "{$bar} by itself, slowly, three times; then with the bars around it.",
        });
    }
}

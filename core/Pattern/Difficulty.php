<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

/** Why a place sticks, and how much each weighs (trade 6.4). */
enum Difficulty: string
{
    case NewNote = 'new_note';
    case ShakyNote = 'shaky_note';
    case Leap = 'leap';
    case Shift = 'shift';
    case Crossing = 'crossing';
    case Accidental = 'accidental';
    case RestInside = 'rest_inside';
    case Dotted = 'dotted';
    case Tie = 'tie';
    case Mixed = 'mixed_lengths';
    case Triplet = 'triplet';
    case OtherRhythm = 'other_rhythm';
    case OtherDirection = 'other_direction';
    case SameDirection = 'same_direction';
    case OverOneNote = 'over_one_note';
    case LineTurn = 'line_turn';
    case WeakRun = 'weak_run';
    case Teacher = 'teacher';

    /** The one table of weights: each counts for every time it happens, three times at most. */
    private const WEIGHTS = [
        'new_note' => 3,
        'shaky_note' => 2,
        'leap' => 3,
        'shift' => 2,
        'crossing' => 2,
        'accidental' => 1,
        'rest_inside' => 1,
        'dotted' => 2,
        'tie' => 1,
        'mixed_lengths' => 1,
        'triplet' => 2,
        'other_rhythm' => 4,
        'other_direction' => 3,
        'same_direction' => 2,
        'over_one_note' => 1,
        'line_turn' => 2,
        'weak_run' => 2,
        'teacher' => 10,
    ];

    public const MOST_TIMES = 3;

    public function weight(): int
    {
        return self::WEIGHTS[$this->value];
    }
}

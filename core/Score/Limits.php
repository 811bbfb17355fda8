<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/**
 * How large a piece may be, whichever way it comes in. A page of a method book is far smaller; within these, everything
 * that is worked out of a piece takes time in proportion to it.
 */
final readonly class Limits
{
    public const MEASURES = 1_000;

    /** As they are played, with every repeat. */
    public const PLAYED_MEASURES = 4_000;

    /** Notes, chords and rests. */
    public const EVENTS = 4_500;

    /** What is kept has the rests written out that a source left away, so it may have some more. */
    public const KEPT_EVENTS = 6_000;

    /** Heads of all chords together. */
    public const NOTES = 6_000;

    public const EVENTS_IN_MEASURE = 128;

    public const NOTES_IN_CHORD = 20;

    /** Of one hand in one measure. */
    public const VOICES = 8;

    /** A bar lasts no longer, whatever its time signature says; in beats of it. */
    public const BEATS_IN_MEASURE = 64;

    /** Of the whole piece, as it is written. */
    public const BEATS = 12_000;

    /** Signs, clefs and keys that change, words: what stands at a bar besides its notes. */
    public const SIGNS_IN_MEASURE = 128;

    /** Into how many equal parts a quarter note is divided, so that every moment of the piece falls on one. */
    public const DIVISIONS = 1_000_000;

    /**
     * @param  string  $bar  as a message names it
     *
     * @throws InvalidScore
     */
    public static function holdMeasure(MeasureDraft $draft, string $bar): void
    {
        if (count($draft->events) > self::EVENTS_IN_MEASURE) {
            throw InvalidScore::tooMany("bar {$bar}", count($draft->events), 'notes and rests', self::EVENTS_IN_MEASURE);
        }
        $signs = count($draft->signs) + count($draft->clefs) + count($draft->keys);
        if ($signs > self::SIGNS_IN_MEASURE) {
            throw InvalidScore::tooMany("bar {$bar}", $signs, 'signs and words', self::SIGNS_IN_MEASURE);
        }
        $beats = $draft->meter->beats($draft->length());
        if ($beats->compare(Fraction::of(self::BEATS_IN_MEASURE)) > 0) {
            throw InvalidScore::barTooLong($bar, $beats);
        }
        foreach ($draft->events as $event) {
            if (count($event->notes) > self::NOTES_IN_CHORD) {
                throw InvalidScore::tooMany("a chord in bar {$bar}", count($event->notes), 'notes', self::NOTES_IN_CHORD);
            }
        }
    }

    /**
     * Every moment has to fall on a division that can be counted exactly.
     *
     * @return int the divisions of a quarter note, with this moment among them
     *
     * @throws InvalidScore
     */
    public static function divided(int $divisions, Fraction $whole): int
    {
        $needed = $whole->denominator % 4 === 0 ? intdiv($whole->denominator, 4) : ($whole->denominator % 2 === 0 ? intdiv($whole->denominator, 2) : $whole->denominator);
        if ($divisions % $needed === 0) {
            return $divisions;
        }
        $common = Fraction::of($divisions, $needed)->numerator * $needed;
        if ($common > self::DIVISIONS) {
            throw InvalidScore::dividedTooFinely();
        }

        return $common;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

use Nasturtium\Core\Refusal;

/** A value that no page can hold, such as a time signature of 4/0. Its makers say what is wrong, with the value, and what would be right. */
final class InvalidScore extends Refusal
{
    /** @param string $where as `bar 3` */
    public static function tooMany(string $where, int $count, string $things, int $most): self
    {
        return new self("{$where} has {$count} {$things}; at most {$most} can be read");
    }

    /** @param int|string $bar as it is printed */
    public static function barTooLong(int|string $bar, Fraction $beats): self
    {
        return new self("bar {$bar} is {$beats->floor()} beats long; a bar has at most ".Limits::BEATS_IN_MEASURE);
    }

    public static function tooManyOverOneAnother(): self
    {
        return new self('a bar has more than '.Limits::VOICES.' notes over one another in one voice');
    }

    public static function dividedTooFinely(): self
    {
        return new self('its notes are divided too finely to be counted exactly');
    }

    public static function emptyPiece(): self
    {
        return new self('a piece has at least one measure');
    }

    public static function backwards(int $first, int $last): self
    {
        return new self("bars from {$first} to {$last} run backwards");
    }

    /** @param string $event its id */
    public static function restWithoutPitch(string $event): self
    {
        return new self("a rest has no pitch (event {$event})");
    }

    public static function noMeter(int $count, int $unit): self
    {
        return new self("{$count}/{$unit} is not a time signature");
    }

    public static function notATimeSignature(string $text): self
    {
        return new self("'{$text}' is not a time signature; write it like 3/4");
    }

    /** @param int $fifths sharps, or flats below zero */
    public static function noKeySignature(int $fifths): self
    {
        return new self("a key signature of {$fifths} is not one; it has at most seven sharps or flats");
    }

    public static function notAKey(string $text): self
    {
        return new self("'{$text}' is not a key; write it like G, Bb or E minor");
    }

    public static function noPitch(int $step, int $octave, int $alter): self
    {
        return new self("step {$step}, octave {$octave}, alteration {$alter} is not a pitch");
    }

    public static function notANoteName(string $name): self
    {
        return new self("'{$name}' is not a note name; write it like C4 or F#3");
    }

    public static function noKeyOfAPiano(int $midi): self
    {
        return new self("{$midi} is not a key");
    }

    public static function cannotMove(Pitch $pitch, int $semitones): self
    {
        return new self("{$pitch->name()} cannot be moved by {$semitones} semitones");
    }

    public static function lengthBelowZero(Fraction $whole): self
    {
        return new self("a length of {$whole} is below zero");
    }

    public static function notANoteValue(string $value): self
    {
        return new self("'{$value}' is not a note value");
    }

    public static function noTuplet(int $actual, int $normal): self
    {
        return new self("{$actual} notes in the time of {$normal} is not a tuplet");
    }

    public static function noBeatOfAMetronome(Duration $unit): self
    {
        return new self("a metronome mark counts one note value, not {$unit->whole} of a whole note");
    }

    public static function noMetronomeMark(int $number): self
    {
        return new self("{$number} a minute is not a metronome mark");
    }

    public static function dividedByZero(int $numerator): self
    {
        return new self("{$numerator}/0 is not a number");
    }

    public static function tooFine(): self
    {
        return new self('a length is too fine to be counted exactly');
    }

    public static function playedTooLong(): self
    {
        return new self('the repeats make the piece longer than '.Limits::PLAYED_MEASURES.' bars');
    }

    public static function nothingPlayed(): self
    {
        return new self('nothing was played');
    }

    public static function longerThanABar(): self
    {
        return new self('it is over '.Limits::BEATS_IN_MEASURE.' beats long, and a bar is not');
    }

    public static function tooManyVoices(): self
    {
        return new self('it has more than '.(2 * Limits::VOICES).' voices');
    }

    public static function noMeasure(int $index): self
    {
        return new self("the piece has no measure at {$index}");
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Shorthand;

use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Limits;

/** What is typed and cannot stand where it is: what is wrong, and what would be right. */
final class BadShorthand extends Refusal
{
    public static function unknownCommand(string $command): self
    {
        return new self("[{$command}] means nothing here. There are time, key, tempo, chord, treble, bass, 8va, 8vb, loco, cross, back, pedal, lift, Segno, Coda, To Coda, Fine, D.C. and D.S.");
    }

    public static function emptyQuotes(): self
    {
        return new self('There is nothing in the quotes. Dynamics and words stand there, such as "mf" or "rit."');
    }

    public static function timeInsideBar(): self
    {
        return new self('A time signature begins a bar: finish the bar before it, or put | first.');
    }

    public static function noTempo(): self
    {
        return new self('A tempo is a number, words, or both, such as [tempo 72 Slower].');
    }

    public static function noChordSymbol(): self
    {
        return new self('A chord symbol begins with its letter, such as [chord Am7] or [chord D/F#].');
    }

    public static function timeOfOneHand(string $time): self
    {
        return new self("The time signature changes for both hands at once: say [time {$time}] in the line above too.");
    }

    public static function keyOfOneHand(string $key): self
    {
        return new self("The key changes for both hands at once: say [key {$key}] in the line above too.");
    }

    public static function noNotation(string $value): self
    {
        return new self("'{$value}' is not a notation; it is staff, fingers or letters");
    }

    public static function noBarNumber(string $value): self
    {
        return new self("'{$value}' is not a bar number");
    }

    public static function noTwoClefs(string $value): self
    {
        return new self("'{$value}' names no two clefs; write the right hand's, then the left's, like treble bass");
    }

    /** @param list<string> $marks */
    public static function unknownMark(string $name, array $marks): self
    {
        return new self("There is no mark '{$name}'. They are ".implode(', ', $marks).'; put a space after one.');
    }

    public static function offTheMetronome(int $tempo): self
    {
        return new self("a tempo of {$tempo} is not on the metronome; 40 to 208 are usual");
    }

    public static function outsideTheMusic(): self
    {
        return new self('Put the cursor into a line of music, one that begins with R or L.');
    }

    public static function offTheKeyboard(string $key): self
    {
        return new self("{$key} is not on the keyboard; it runs from A0 to C8.");
    }

    public static function unknownToken(string $token, ?string $better): self
    {
        return new self($better ?? "'{$token}' means nothing here. Notes are fingers 1 to 5 or letters a to g, lengths w h q v x, a rest r, a bar |.");
    }

    public static function noNote(string $token): self
    {
        return new self("'{$token}' is no note.");
    }

    public static function noteOffTheKeyboard(string $token): self
    {
        return new self("'{$token}' would be a key that is not on the keyboard; it runs from A0 to C8.");
    }

    public static function fingerWithoutPlace(int $finger, string $example): self
    {
        return new self("Finger {$finger} has no place yet: say where the hand lies first, such as {$example}.");
    }

    public static function groupNotClosed(): self
    {
        return new self('The group that begins with { is not closed. Put } after its last note.');
    }

    public static function repeatWithoutBar(): self
    {
        return new self('A repeat sign :| ends a bar; no bar stands before it.');
    }

    public static function doubleBarWithoutBar(): self
    {
        return new self('A double bar line ends a bar; no bar stands before it.');
    }

    public static function endingBelowOne(): self
    {
        return new self('Endings are numbered from 1, as in [1 and [2.');
    }

    public static function endingInsideBar(): self
    {
        return new self('An ending begins with a bar: finish the bar before it, or put | first.');
    }

    public static function mixedChord(): self
    {
        return new self('A chord holds fingers or letters only, such as (135) or (ce).');
    }

    public static function wholeRestInsideBar(): self
    {
        return new self('/ is a whole bar of rest, and this bar has begun. Type r for a rest of the length in force.');
    }

    public static function gapInFirstVoice(): self
    {
        return new self('o leaves a gap in a second voice (R2, L2). Here a rest is r.');
    }

    public static function tooManyGraceNotes(): self
    {
        return new self('There are more than '.Limits::NOTES_IN_CHORD.' grace notes before one note.');
    }

    public static function groupInGroup(): self
    {
        return new self('A group in { } cannot hold another one.');
    }

    public static function noGroupToClose(): self
    {
        return new self('} closes a group, and none is open. A triplet is typed {v c d e}.');
    }

    public static function hairpinInHairpin(): self
    {
        return new self('A hairpin is open already: end it with . first.');
    }

    public static function noHairpinToEnd(): self
    {
        return new self('. ends a hairpin, and none is open. A dot for the length stands with it, as in q.');
    }

    public static function copyInsideBar(): self
    {
        return new self('A bar is copied whole: finish the bar before it, or put | first.');
    }

    public static function nothingToRepeat(): self
    {
        return new self('% repeats the bar before, and there is none.');
    }

    public static function barNotTypedYet(int $number): self
    {
        return new self("Bar {$number} is not typed yet in this line.");
    }

    public static function tieToAnotherNote(): self
    {
        return new self('A tie ~ holds the same note; this is another. Take the ~ away, or type the same note again.');
    }

    public static function slurAtRest(): self
    {
        return new self('A slur begins and ends at a note, not at a rest.');
    }

    public static function tooManyNotes(): self
    {
        return new self('A piece has at most '.Limits::EVENTS.' notes and rests.');
    }

    public static function tooManyBars(): self
    {
        return new self('A piece has at most '.Limits::MEASURES.' bars.');
    }

    public static function tooLong(): self
    {
        return new self('This is too long for one piece; put the next piece on a page of its own.');
    }

    public static function lineTooLong(): self
    {
        return new self('This line is too long. Each printed line of the page is a line of its own here.');
    }

    public static function wordsWithoutMusic(): self
    {
        return new self('Words stand below the line of music they belong to.');
    }

    public static function noLine(): self
    {
        return new self('A line of music begins with R or L, a heading with its name, such as time: 3/4.');
    }

    /** @param list<string> $headings */
    public static function unknownHeading(string $name, array $headings): self
    {
        return new self("There is no heading '{$name}'. They are ".implode(', ', $headings).' and bar.');
    }

    public static function headingInTheMusic(): self
    {
        return new self('Headings stand before the music. Within it, a change is typed in the line, such as [time 3/4], [key G] or [tempo 72].');
    }

    public static function barsMissing(int $bars, string $other, int $others): self
    {
        return new self("This line has {$bars} bars and {$other} {$others}. Type the rest, or / for a bar of rest.");
    }

    public static function tooManySyllables(string $from): self
    {
        return new self("There are more syllables than notes from '{$from}' on. A syllable goes to each struck note; a word is divided with - and held with _.");
    }

    public static function ofAHeading(Refusal $reason): self
    {
        return new self(ucfirst($reason->getMessage()).'.');
    }
}

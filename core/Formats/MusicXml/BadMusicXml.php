<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\Limits;

/** A MusicXML file that cannot be read; `$where` begins a sentence, as `Bar 3: `. */
final class BadMusicXml extends BadInput
{
    public static function noNumberOfBeats(string $where, string $text): self
    {
        return new self($where."'{$text}' is not a number of beats.");
    }

    public static function mixedTimeSignature(string $where): self
    {
        return new self($where.'a time signature of two different note values cannot be read.');
    }

    public static function unreadableClef(string $where, string $sign, string $line): self
    {
        return new self($where."the clef {$sign}".($line === '' ? '' : ' on line '.mb_substr($line, 0, 20)).' cannot be read; treble, bass and the C clefs can.');
    }

    public static function notAWholeNumber(string $where, string $what, string $text, int $least, int $most): self
    {
        return new self($where."{$what} is '".mb_substr($text, 0, 20)."', not a whole number from {$least} to {$most}.");
    }

    public static function chordOfNothing(string $where): self
    {
        return new self($where.'a chord note has no note before it to join.');
    }

    public static function noteWithoutLength(string $where): self
    {
        return new self($where.'a note has neither a duration nor a type that can be read.');
    }

    public static function noDuration(string $where, string $text, ?string $of): self
    {
        return new self($where."the duration '".mb_substr($text, 0, 20)."' of a {$of} is not a number above zero.");
    }

    public static function withoutNotes(): self
    {
        return new self('There is nothing to play in the file: it has bars, but no notes.');
    }

    public static function tooManyBars(): self
    {
        return new self('The file has more than '.Limits::MEASURES.' bars. Export the page you need alone.');
    }

    public static function inBar(string $bar, \Throwable $reason): self
    {
        return new self("Bar {$bar}: {$reason->getMessage()}.", previous: $reason);
    }

    public static function withoutBars(): self
    {
        return new self('The part has no bars in it, so there is nothing to play.');
    }

    public static function inPiece(\Throwable $reason): self
    {
        return new self(ucfirst("{$reason->getMessage()}."), previous: $reason);
    }

    public static function withoutPart(): self
    {
        return new self('The file has no part in it, so there is nothing to play.');
    }

    public static function noSuchPart(string $missing, string $names): self
    {
        return new self("The file has no part '{$missing}'. Its parts are {$names}.");
    }

    public static function severalParts(int $count, string $names): self
    {
        return new self('The file has '.$count." parts: {$names}. Choose the student's.");
    }

    public static function noTuplet(string $where, string $actual, string $normal): self
    {
        return new self($where."{$actual} notes in the time of {$normal} is not a tuplet.");
    }

    public static function noteWithoutPitch(string $where): self
    {
        return new self($where.'a note has no pitch that can be read (step, octave, alter).');
    }

    public static function tooLarge(): self
    {
        return new self('The file is over 5 MB. A page of music is far smaller; export this one piece alone.');
    }

    public static function emptyFile(): self
    {
        return new self('The file is empty.');
    }

    public static function tooLong(): self
    {
        return new self('The score is too long to be one piece. Export the page you need alone.');
    }

    public static function beginsOtherwise(int $line, ?string $begins): self
    {
        return new self('Line '.$line.": this is not MusicXML; it begins with <{$begins}>. Export the piece as MusicXML and try again.");
    }

    public static function tooManyElements(int $most): self
    {
        return new self('The file has more than '.number_format($most).' elements and attributes. A page of music has far fewer; export this one piece alone.');
    }

    public static function tooDeep(int $most): self
    {
        return new self('The file has elements inside one another more than '.$most.' deep, which a score never needs. Export it again.');
    }

    public static function ownEntities(int $line): self
    {
        return new self("Line {$line}: the file declares entities of its own, which a score never needs. Export it again without them.");
    }

    public static function notMusicXml(): self
    {
        return new self('Line 1: this is not MusicXML. Export the piece as MusicXML (.musicxml or .mxl) and try again.');
    }

    public static function cutShort(int $line, string $bar): self
    {
        return new self("Line {$line}: the file is cut short or damaged{$bar}. Export it again.");
    }

    public static function namesNoScore(string $container): self
    {
        return new self($container.' names no score. Export the file again.');
    }
}

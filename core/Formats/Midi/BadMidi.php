<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Score\Limits;

/** A MIDI file that cannot be read; bytes and tracks are counted from 1. */
final class BadMidi extends BadInput
{
    public static function tooManyTimeSignatures(int $most): self
    {
        return new self('The MIDI file changes its time signature more than '.$most.' times. Export the page you need alone.');
    }

    public static function tooLarge(): self
    {
        return new self('The MIDI file is over 2 MB. Export this one piece alone.');
    }

    public static function withoutNotes(): self
    {
        return new self('There is nothing to play in the MIDI file: it has no notes.');
    }

    public static function notMidi(): self
    {
        return new self('Byte 1: this is not a MIDI file. Export the piece as a standard MIDI file (.mid) and try again.');
    }

    public static function countsFilmFrames(): self
    {
        return new self('The MIDI file counts film frames, not beats. Export it with ticks a beat.');
    }

    public static function severalSongs(): self
    {
        return new self('The MIDI file holds several songs (format 2). Export the one you need.');
    }

    public static function trackCutShort(int $byte, int $track): self
    {
        return new self("Byte {$byte}: the MIDI file is cut short in track ".$track.'. Export it again.');
    }

    public static function trackDamaged(int $byte, int $track): self
    {
        return new self("Byte {$byte}: the MIDI file is damaged in track ".$track.'. Export it again.');
    }

    public static function tooManyNotes(int $most): self
    {
        return new self('The MIDI file has more than '.$most.' notes. Export the page you need alone.');
    }

    public static function damaged(int $byte): self
    {
        return new self("Byte {$byte}: the MIDI file is damaged. Export it again.");
    }

    public static function cutShort(int $byte): self
    {
        return new self("Byte {$byte}: the MIDI file is cut short. Export it again.");
    }

    public static function cannotBeLaid(\Throwable $reason): self
    {
        return new self("The MIDI file cannot be laid on a page: {$reason->getMessage()}.", previous: $reason);
    }

    public static function tooManyBars(): self
    {
        return new self('The MIDI file has more than '.Limits::MEASURES.' bars. Export the page you need alone.');
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;

/**
 * Where the first bar begins in what was played from the first moment on: long notes, chords and low notes stand on
 * downbeats, and few notes are held over a bar line. A pickup is believed only where it fits clearly better than none.
 */
final readonly class FirstDownbeat
{
    /** How much better than none, in hundredths of that. */
    private const CLEARLY = 120;

    /** Hundredths of a downbeat, for the middle of a bar that has two halves. */
    private const MIDDLE = 35;

    /** A note of a beat; weights are whole hundredths of it. */
    private const BEAT = 100;

    /** What a note held over a bar line costs. */
    private const OVER = 100;

    /** Each further key of a chord. */
    private const KEY = 30;

    /** Hundredths of half a beat by which a note may be early or late. */
    private const LOOSE = 30;

    /** An octave and more between the lowest and the highest key: the left hand strikes with the right. */
    private const BASS = 12;

    /** @return Fraction the pickup, in whole notes; zero where the piece begins with a whole bar */
    public static function of(MidiFile $file, Meter $meter): Fraction
    {
        // Half a beat has a whole number of ticks when every tick is cut into as many as the unit of the time signature.
        $cut = $meter->unit;
        $half = 2 * $file->ticks;
        $bar = 2 * $meter->count;
        if ($meter->count < 2 || count($file->notes) < $meter->count || $file->notes[0]->from * $cut >= $half) {
            return Fraction::zero();
        }
        $fits = array_fill(0, $bar, 0);
        foreach (self::moments($file) as $from => [$longest, $keys]) {
            $at = self::nearest($from * $cut, $half);
            if (100 * abs($from * $cut - $at * $half) > self::LOOSE * $half) {
                continue;
            }
            $weight = min(intdiv(self::BEAT * $longest * $cut, 2 * $half), self::BEAT * $meter->count)
                + self::KEY * (count($keys) - 1)
                + (max($keys) - min($keys) >= self::BASS ? self::BEAT : 0);
            $fits[$at % $bar] += $weight;
            if ($meter->count % 2 === 0 && $meter->count > 2) {
                $fits[($at + $meter->count) % $bar] += intdiv(self::MIDDLE * $weight, 100);
            }
            // Every bar line that falls inside the note.
            for ($line = $at + 1; $line < $at + min(self::nearest($longest * $cut, $half), $bar); $line++) {
                $fits[$line % $bar] -= self::OVER;
            }
        }
        $last = max(array_map(static fn (MidiNote $note): int => $note->to, $file->notes));
        $end = self::nearest($last * $cut, 2 * $half) * 2 % $bar;
        $best = 0;
        foreach ($fits as $pickup => $fit) {
            // A pickup and the last bar make one bar together.
            $fits[$pickup] = $fit + match (true) {
                $end === 0 => intdiv(self::BEAT, 2),
                $pickup > 0 && $end === $pickup => -self::BEAT,
                default => 0,
            };
            $best = $fits[$pickup] > $fits[$best] ? $pickup : $best;
        }

        return $best > 0 && 100 * ($fits[$best] - self::BEAT) > self::CLEARLY * max(0, $fits[0])
            ? Fraction::of($best, 2 * $meter->unit)
            : Fraction::zero();
    }

    /** @return int how many of a length there are, the nearest whole number */
    private static function nearest(int $ticks, int $length): int
    {
        return intdiv(2 * $ticks + $length, 2 * $length);
    }

    /** @return array<int, array{int, non-empty-list<int>}> ticks of the longest note, and the keys, by the tick they begin at */
    private static function moments(MidiFile $file): array
    {
        $moments = [];
        foreach ($file->notes as $note) {
            $moments[$note->from] = [max($moments[$note->from][0] ?? 0, $note->to - $note->from), [...$moments[$note->from][1] ?? [], $note->key]];
        }

        return $moments;
    }
}

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
    /** How much better than none. */
    private const CLEARLY = 1.2;

    /** Of a downbeat, for the middle of a bar that has two halves. */
    private const MIDDLE = 0.35;

    /** What a note held over a bar line costs, in notes of a beat. */
    private const OVER = 1.0;

    /** An octave and more between the lowest and the highest key: the left hand strikes with the right. */
    private const BASS = 12;

    /** @return Fraction the pickup, in whole notes; zero where the piece begins with a whole bar */
    public static function of(MidiFile $file, Meter $meter): Fraction
    {
        $first = $file->notes[0]->from;
        $half = 4 * $file->ticks / $meter->unit / 2;
        $bar = 2 * $meter->count;
        if ($meter->count < 2 || count($file->notes) < $meter->count || $first >= $half) {
            return Fraction::zero();
        }
        $fits = array_fill(0, $bar, 0.0);
        foreach (self::moments($file) as $from => [$longest, $keys]) {
            $at = (int) round($from / $half);
            if (abs($from / $half - $at) > 0.3) {
                continue;
            }
            $beats = min($longest / $half / 2, $meter->count);
            $weight = $beats + 0.3 * (count($keys) - 1) + (max($keys) - min($keys) >= self::BASS ? 1.0 : 0.0);
            $fits[$at % $bar] += $weight;
            if ($meter->count % 2 === 0 && $meter->count > 2) {
                $fits[($at + $meter->count) % $bar] += self::MIDDLE * $weight;
            }
            // Every bar line that falls inside the note.
            for ($line = $at + 1; $line < $at + round($longest / $half) && $line < $at + $bar; $line++) {
                $fits[$line % $bar] -= self::OVER;
            }
        }
        $end = (int) round(max(array_map(static fn (MidiNote $note): int => $note->to, $file->notes)) / $half / 2) * 2 % $bar;
        $best = 0;
        foreach ($fits as $pickup => $fit) {
            // A pickup and the last bar make one bar together.
            $fits[$pickup] = $fit + ($end === 0 ? 0.5 : ($pickup > 0 && $end === $pickup ? -1.0 : 0.0));
            $best = $fits[$pickup] > $fits[$best] ? $pickup : $best;
        }

        return $best > 0 && $fits[$best] > self::CLEARLY * max(0.0, $fits[0]) + 1 ? Fraction::of($best, 2 * $meter->unit) : Fraction::zero();
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

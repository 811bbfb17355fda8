<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** The same music in another key: every note the same number of letters and semitones away. */
final readonly class Transposition
{
    /**
     * @param  int  $letters  up, or down below zero
     * @param  int  $semitones  likewise
     * @param  int  $fifths  what the key signature changes by
     */
    private function __construct(private int $letters, private int $semitones, private int $fifths) {}

    /**
     * To the nearest tonic of another key, or to the nearest above or below.
     *
     * @param  int  $direction  1 up, -1 down, 0 whichever is nearer
     */
    public static function to(Piece $piece, Key $key, int $direction = 0): Piece
    {
        $from = $piece->key();
        $fifths = $key->fifths - $from->fifths;
        // A fifth is four letters and seven semitones; octaves bring it near.
        $letters = self::near(4 * $fifths, 7, $direction);
        $octaves = intdiv($letters - 4 * $fifths, 7);

        return (new self($letters, 7 * $fifths + 12 * $octaves, $fifths))->piece($piece, $key);
    }

    /** Higher by octaves, or lower below zero; the key stays. */
    public static function byOctaves(Piece $piece, int $octaves): Piece
    {
        return (new self(7 * $octaves, 12 * $octaves, 0))->piece($piece, $piece->key());
    }

    private static function near(int $steps, int $octave, int $direction): int
    {
        $up = (($steps % $octave) + $octave) % $octave;

        return match (true) {
            $up === 0 => 0,
            $direction > 0, $direction === 0 && $up * 2 <= $octave => $up,
            default => $up - $octave,
        };
    }

    private function piece(Piece $piece, Key $to): Piece
    {
        return $piece->withMeasures(array_map(fn (Measure $measure): Measure => $measure->with(
            $this->key($measure->key, $piece->key(), $to),
            array_map(fn (Change $change): Change => $change->to instanceof Key
                ? new Change($change->onset, null, $this->key($change->to, $piece->key(), $to))
                : $change, $measure->changes),
            fn (Event $event): Event => $event->withNotes(
                array_map(fn (Note $note): Note => $note->at($this->pitch($note->pitch)), $event->notes),
                array_map(fn (Grace $grace): Grace => $grace->at($this->pitch($grace->pitch)), $event->ink->graces),
            ),
        ), $piece->measures));
    }

    /** A signature of more than seven signs is written with the other kind. */
    private function key(Key $key, Key $from, Key $to): Key
    {
        if ($key->equals($from)) {
            return new Key($to->fifths, $key->minor, $to->fixed);
        }
        $fifths = $key->fifths + $this->fifths;

        return new Key($fifths > 7 ? $fifths - 12 : ($fifths < -7 ? $fifths + 12 : $fifths), $key->minor);
    }

    private function pitch(Pitch $pitch): Pitch
    {
        $moved = $pitch->midi() + $this->semitones;
        // A name with more than two signs gives way to its neighbour's.
        foreach ([0, 1, -1] as $respelled) {
            $diatonic = $pitch->diatonic() + $this->letters + $respelled;
            $alter = $moved - Pitch::ofDiatonic($diatonic)->midi();
            if (abs($alter) <= 2) {
                return Pitch::ofDiatonic($diatonic, $alter);
            }
        }
        throw InvalidScore::cannotMove($pitch, $this->semitones);
    }
}

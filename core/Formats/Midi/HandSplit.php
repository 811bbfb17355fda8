<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Score\Hand;

/** Which hand plays which note: by track where there are two, else by where the hands are. */
final readonly class HandSplit
{
    private const MIDDLE_C = 60;

    /** Where the hands are taken to lie before they have played. */
    private const HOME = ['R' => 67, 'L' => 53];

    /** Semitones that a small hand is not taken to stretch over. */
    private const SPAN = 9;

    /** How much nearer one hand must be than the other to be certain. */
    private const CLEAR = 4;

    /**
     * @param  list<non-empty-list<MidiNote>>  $moments  the notes that begin together, in time
     * @return list<array{R: list<MidiNote>, L: list<MidiNote>, certain: bool}>
     */
    public static function of(array $moments): array
    {
        $right = self::rightTrack($moments);
        $at = self::HOME;
        $split = [];
        foreach ($moments as $notes) {
            $hands = $right === null ? self::byPlace($notes, $at) : [
                'R' => array_values(array_filter($notes, static fn (MidiNote $note): bool => $note->track === $right)),
                'L' => array_values(array_filter($notes, static fn (MidiNote $note): bool => $note->track !== $right)),
                'certain' => true,
            ];
            foreach (Hand::cases() as $hand) {
                $keys = array_map(static fn (MidiNote $note): int => $note->key, $hands[$hand->value]);
                $at[$hand->value] = $keys === [] ? $at[$hand->value] : intdiv(array_sum($keys), count($keys));
            }
            $split[] = $hands;
        }

        return $split;
    }

    /** @param list<non-empty-list<MidiNote>> $moments */
    private static function rightTrack(array $moments): ?int
    {
        $keys = [];
        foreach (array_merge(...$moments) as $note) {
            $keys[$note->track][] = $note->key;
        }
        if (count($keys) !== 2) {
            return null;
        }
        $means = array_map(static fn (array $of): float => array_sum($of) / count($of), $keys);

        return (int) array_search(max($means), $means, true);
    }

    /**
     * @param  non-empty-list<MidiNote>  $notes  that begin together
     * @param  array{R: int, L: int}  $at  where the hands are
     * @return array{R: list<MidiNote>, L: list<MidiNote>, certain: bool}
     */
    private static function byPlace(array $notes, array $at): array
    {
        $keys = array_map(static fn (MidiNote $note): int => $note->key, $notes);
        $boundary = intdiv($at['R'] + $at['L'], 2);
        if (max($keys) - min($keys) > self::SPAN) {
            $boundary = self::widestGap($keys);
        } elseif (count($keys) > 1) {
            // Within one hand's reach, together: all to the hand that is nearer.
            $middle = intdiv(array_sum($keys), count($keys));
            $right = abs($middle - $at['R']) <= abs($middle - $at['L']);
            $boundary = $right ? min($keys) : max($keys) + 1;
        }
        $nearest = min(array_map(static fn (int $key): int => abs(abs($key - $at['R']) - abs($key - $at['L'])), $keys));

        return [
            'R' => array_values(array_filter($notes, static fn (MidiNote $note): bool => $note->key >= $boundary)),
            'L' => array_values(array_filter($notes, static fn (MidiNote $note): bool => $note->key < $boundary)),
            'certain' => $nearest >= self::CLEAR || abs($keys[0] - self::MIDDLE_C) > self::SPAN,
        ];
    }

    /** @param list<int> $keys */
    private static function widestGap(array $keys): int
    {
        sort($keys);
        $widest = 0;
        $boundary = self::MIDDLE_C;
        for ($i = 1; $i < count($keys); $i++) {
            if ($keys[$i] - $keys[$i - 1] > $widest) {
                $widest = $keys[$i] - $keys[$i - 1];
                $boundary = $keys[$i];
            }
        }

        return $boundary;
    }
}

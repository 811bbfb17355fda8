<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Score\Hand;

/**
 * Which hand plays which note: by track where there are two, else the way that moves the hands least. Ways are followed
 * side by side, a few of the cheapest, so that what comes later can tell whose an early note was.
 */
final class HandSplit
{
    /** Ways that are followed at once. */
    private const WAYS = 16;

    /** Half steps that five fingers lie over without a move: a fifth, and one for a black key. */
    private const POSITION = 8;

    /** What a move of the hand costs, and each half step of it; costs are whole hundredths. */
    private const MOVE = 200;

    private const STEP = 12;

    /** What a chord costs that five fingers do not lie over, and each half step more. */
    private const WIDE = 100;

    private const WIDER = 80;

    /** Ways that cost less than this more are as good: the note is marked as uncertain. */
    private const CLEAR = 60;

    /** A hand that holds a key while it strikes another plays two voices, which beginners seldom do. */
    private const HELD = 160;

    /** Hands that change places at one moment, by half step. */
    private const CROSSED = 50;

    /** The right hand below middle C, the left above it, by half step. */
    private const SIDE = 6;

    private const MIDDLE_C = 60;

    /**
     * @param  list<non-empty-list<MidiNote>>  $moments  the notes that begin together, in time
     * @return list<array{R: list<MidiNote>, L: list<MidiNote>, certain: bool}>
     */
    public static function of(array $moments): array
    {
        $right = self::rightTrack($moments);
        if ($right === null) {
            return (new self())->byWays($moments);
        }

        return array_map(static fn (array $notes): array => [
            'R' => array_values(array_filter($notes, static fn (MidiNote $note): bool => $note->track === $right)),
            'L' => array_values(array_filter($notes, static fn (MidiNote $note): bool => $note->track !== $right)),
            'certain' => true,
        ], $moments);
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
        [$one, $other] = array_keys($keys);

        // The higher on average, and of two as high the first.
        return array_sum($keys[$one]) * count($keys[$other]) >= array_sum($keys[$other]) * count($keys[$one]) ? $one : $other;
    }

    /**
     * @param  list<non-empty-list<MidiNote>>  $moments
     * @return list<array{R: list<MidiNote>, L: list<MidiNote>, certain: bool}>
     */
    private function byWays(array $moments): array
    {
        $ways = [new HandWay()];
        /** @var list<list<array{int, int}>> $steps from which way, and how many of the lowest notes went to the left hand, by moment and way */
        $steps = [];
        $doubts = [];
        foreach ($moments as $notes) {
            usort($notes, static fn (MidiNote $a, MidiNote $b): int => $a->key <=> $b->key);
            [$ways, $steps[], $doubts[]] = self::next($ways, $notes);
        }
        $at = 0;
        $split = [];
        for ($i = count($moments) - 1; $i >= 0; $i--) {
            $notes = $moments[$i];
            usort($notes, static fn (MidiNote $a, MidiNote $b): int => $a->key <=> $b->key);
            [$before, $left] = $steps[$i][$at];
            $split[] = ['R' => array_slice($notes, $left), 'L' => array_slice($notes, 0, $left), 'certain' => ! ($doubts[$i][$left] ?? false)];
            $at = $before;
        }

        return array_reverse($split);
    }

    /**
     * @param  non-empty-list<HandWay>  $ways
     * @param  non-empty-list<MidiNote>  $notes  lowest first
     * @return array{non-empty-list<HandWay>, list<array{int, int}>, array<int, bool>} the cheapest ways on, where each came from, and which splits were a near thing
     */
    private static function next(array $ways, array $notes): array
    {
        $found = [];
        $least = [];
        foreach ($ways as $from => $way) {
            for ($left = 0; $left <= count($notes); $left++) {
                $cost = $way->cost + self::cost($way, array_slice($notes, $left), array_slice($notes, 0, $left));
                $found[] = [$cost, $from, $left];
                $least[$left] = min($least[$left] ?? $cost, $cost);
            }
        }
        usort($found, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        /** @var non-empty-list<HandWay> $kept there is always one way on */
        $kept = [];
        $steps = [];
        $seen = [];
        foreach ($found as [$cost, $from, $left]) {
            $next = $ways[$from]->with(array_slice($notes, $left), array_slice($notes, 0, $left), $cost, self::POSITION);
            // Of two ways that leave the hands alike the cheaper is enough.
            if (isset($seen[$next->name()])) {
                continue;
            }
            $seen[$next->name()] = true;
            $kept[] = $next;
            $steps[] = [$from, $left];
            if (count($kept) === self::WAYS) {
                break;
            }
        }
        asort($least);
        $near = array_slice(array_filter($least, static fn (int $cost): bool => $cost - min($least) < self::CLEAR), 0, null, true);
        $doubts = count($near) > 1 ? array_map(static fn (): bool => true, $near) : [];

        return [$kept, $steps, $doubts];
    }

    /**
     * @param  list<MidiNote>  $right
     * @param  list<MidiNote>  $left
     */
    private static function cost(HandWay $way, array $right, array $left): int
    {
        $cost = 0;
        foreach ([[Hand::Right, $right], [Hand::Left, $left]] as [$hand, $notes]) {
            if ($notes === []) {
                continue;
            }
            [$low, $high] = [$notes[0]->key, $notes[count($notes) - 1]->key];
            $position = $way->position($hand);
            if ($high - $low > self::POSITION) {
                $cost += self::WIDE + self::WIDER * ($high - $low - self::POSITION);
            }
            if ($position !== null) {
                [$from, $to] = $position;
                $wide = max($high, $to) - min($low, $from);
                if ($wide > self::POSITION) {
                    $cost += self::MOVE + self::STEP * max(abs($low - $from), abs($high - $to));
                }
            }
            foreach ($notes as $note) {
                $cost += self::SIDE * max(0, $hand === Hand::Right ? self::MIDDLE_C - $note->key : $note->key - self::MIDDLE_C);
            }
            $cost += intdiv(self::HELD * $way->held($hand, $notes[0]), 100);
        }
        // The other hand lies where it lay last.
        $r = $right === [] ? $way->position(Hand::Right) : [$right[0]->key, $right[count($right) - 1]->key];
        $l = $left === [] ? $way->position(Hand::Left) : [$left[0]->key, $left[count($left) - 1]->key];
        if ($r !== null && $l !== null && ($r[0] + $r[1]) < ($l[0] + $l[1])) {
            $cost += intdiv(self::CROSSED * ($l[0] + $l[1] - $r[0] - $r[1]), 2);
        }

        return $cost;
    }
}

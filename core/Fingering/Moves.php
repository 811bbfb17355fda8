<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Fingering\Keys\Strike;

/**
 * What it costs the hand to come from one grip to the next (trade 4.2): staying is free, opening the hand is cheap, the
 * thumb under or a finger over is dearer, and a shift costs more the farther it goes and less when there is time.
 */
final class Moves
{
    /** One finger on two different keys in a row. */
    private const SAME_FINGER = 60;

    /** Another finger on the key that was struck just now, or that is still held. */
    private const CHANGE = 5;

    private const HELD_CHANGE = 60;

    private const OPEN = 2;

    private const BEYOND_SPAN = 4;

    private const CROSSING = 7;

    private const THUMB_ON_BLACK = 4;

    private const SHIFT = 10;

    private const SHIFT_IN_TIME = 3;

    private const SHIFT_APART = 5;

    private const SHIFT_CHORD = 4;

    private const FARTHEST = 8;

    private const IN_SLUR = 2;

    private const WEAK = 1;

    /** @var array<string, list<list<int>>> by the words of two strikes and the time between */
    private array $kept = [];

    /** @param int $span letters that the hand opens to without reaching */
    public function __construct(private readonly Reach $reach, private readonly int $span) {}

    /**
     * @param  non-empty-list<Grip>  $before
     * @param  non-empty-list<Grip>  $after
     * @param  string  $word  of both strikes: with the same, the costs are the same
     * @return list<list<int>> by grip after, then by grip before
     */
    public function all(array $before, array $after, Strike $strike, string $word): array
    {
        $word .= ($strike->hasTime ? 't' : '').($strike->isApart ? 'a' : '').($strike->isSlurred ? 's' : '').($strike->isFast ? 'f' : '');
        if (! isset($this->kept[$word])) {
            $costs = [];
            foreach ($after as $grip) {
                $row = [];
                foreach ($before as $previous) {
                    $row[] = $this->cost($previous, $grip, $strike);
                }
                $costs[] = $row;
            }
            $this->kept[$word] = $costs;
        }

        return $this->kept[$word];
    }

    /** How the hand comes from one grip to the next, by what is cheapest. */
    public function kind(Grip $before, Grip $after, Strike $strike): HandMove
    {
        if (count($before->keys) > 1 || count($after->keys) > 1) {
            return $this->chordStays($before, $after) ? HandMove::Stay : HandMove::Shift;
        }
        $halfSteps = $after->keys[0] - $before->keys[0];
        [$from, $to] = [$before->fingers[0], $after->fingers[0]];
        if ($halfSteps === 0) {
            return $from === $to ? HandMove::Stay : HandMove::Shift;
        }
        // Beyond the span the arm moves, whatever the fingers could reach.
        if ($from === $to || abs($after->letters[0] - $before->letters[0]) >= $this->span || $this->single($before, $after, $strike) >= $this->shift($after->thumb - $before->thumb, $strike)) {
            return HandMove::Shift;
        }

        return match (true) {
            ($to > $from) === ($halfSteps > 0) => HandMove::Stay,
            $halfSteps > 0 => HandMove::ThumbUnder,
            default => HandMove::FingerOver,
        };
    }

    private function cost(Grip $before, Grip $after, Strike $strike): int
    {
        return count($before->keys) === 1 && count($after->keys) === 1
            ? $this->single($before, $after, $strike)
            : $this->chord($before, $after, $strike);
    }

    private function single(Grip $before, Grip $after, Strike $strike): int
    {
        [$from, $to] = [$before->fingers[0], $after->fingers[0]];
        $halfSteps = $after->keys[0] - $before->keys[0];
        if ($halfSteps === 0) {
            return match (true) {
                $from === $to => 0,
                $strike->hasTime => 1,
                default => self::CHANGE,
            };
        }
        $moved = $after->thumb - $before->thumb;
        $shift = $this->shift($moved, $strike);
        if ($from === $to) {
            return $strike->isApart ? $shift : self::SAME_FINGER + $shift;
        }
        $apart = $to > $from ? $halfSteps : -$halfSteps;
        $strain = $this->reach->strain(min($from, $to), max($from, $to), $apart);
        if ($strain === null) {
            return $shift;
        }

        return min($shift, $apart > 0
            ? $strain + $this->opened($moved, $before, $after) + ($strike->isFast && $from + $to === 9 ? self::WEAK : 0)
            : $this->crossing($from, $to, $strain, $before, $after));
    }

    private function opened(int $moved, Grip $before, Grip $after): int
    {
        $letters = abs($after->letters[0] - $before->letters[0]) + 1;

        return ($moved === 0 ? 0 : self::OPEN + abs($moved)) + ($letters > $this->span ? self::BEYOND_SPAN : 0);
    }

    private function crossing(int $from, int $to, int $strain, Grip $before, Grip $after): int
    {
        // Only the thumb passes under, and only a finger goes over it.
        if (max($from, $to) === 5) {
            return PHP_INT_MAX;
        }
        $thumb = $from === 1 ? $before->keys[0] : $after->keys[0];

        return self::CROSSING
            + ($strain >= Reach::PRACTICAL ? 2 : 0)
            + (Strike::isBlack($thumb) ? self::THUMB_ON_BLACK : 0);
    }

    private function shift(int $moved, Strike $strike): int
    {
        $keys = min(self::FARTHEST, abs($moved));

        return match (true) {
            $strike->hasTime => self::SHIFT_IN_TIME + intdiv($keys + 1, 2),
            $strike->isApart => self::SHIFT_APART + $keys,
            default => self::SHIFT + $keys + ($strike->isSlurred ? self::IN_SLUR : 0),
        };
    }

    /** A chord is taken by the hand as a whole: what matters is how far it goes, and what lies still. */
    private function chord(Grip $before, Grip $after, Strike $strike): int
    {
        $cost = 0;
        foreach ($after->keys as $j => $key) {
            $i = array_search($key, $before->keys, true);
            if ($i !== false && ($before->fingers[$i] ?? 0) !== ($after->fingers[$j] ?? 0)) {
                $cost += $strike->held[$j] ?? false ? self::HELD_CHANGE : ($strike->hasTime ? 1 : 3);
            }
        }
        $moved = min(self::FARTHEST, abs($after->thumb - $before->thumb));

        return $cost + match (true) {
            $this->chordStays($before, $after) => $moved === 0 ? 0 : 1 + intdiv($moved + 1, 2),
            $strike->hasTime => 2 + intdiv($moved, 2),
            default => self::SHIFT_CHORD + $moved,
        };
    }

    private function chordStays(Grip $before, Grip $after): bool
    {
        foreach ($after->keys as $j => $key) {
            $finger = $after->fingers[$j] ?? 0;
            foreach ($before->keys as $i => $was) {
                $other = $before->fingers[$i] ?? 0;
                if ($key === $was ? $finger !== $other : ! $this->liesBeside($finger, $key, $other, $was)) {
                    return false;
                }
            }
        }

        return true;
    }

    private function liesBeside(int $finger, int $key, int $other, int $was): bool
    {
        return $finger !== $other
            && ($key > $was) === ($finger > $other)
            && $this->reach->strain(min($finger, $other), max($finger, $other), abs($key - $was)) !== null;
    }
}

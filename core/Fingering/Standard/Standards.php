<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering\Standard;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** Where a hand part has standard patterns, and what they say (trade 4.7): the longest first, each note in one at most. */
final class Standards
{
    private const FIGURE_WEIGHT = 6;

    /** Notes that still belong to a run after it has turned. */
    private const TURN = 4;

    /** The letters of an octave. */
    private const OCTAVE = 7;

    private const OVERLAP = 2;

    /** Letters from end to end of a figure that five fingers cover. */
    private const FIVE_FINGERS = 4;

    private const HALF_STEP = 1;

    private const STEP = 2;

    private const SKIP = 4;

    /** @var array<int, StandardFingers> by strike */
    private array $found = [];

    /** @var array<int, int> kinds of step to each strike */
    private array $kinds = [];

    /** @var array<int, int> 1 outwards, -1 towards the thumb, to each strike */
    private array $directions = [];

    /** @var list<array{int, int}> first and last strikes of scales */
    private array $scales = [];

    /** @param list<Strike> $strikes */
    private function __construct(private readonly array $strikes, private readonly Hand $hand, private readonly Piece $piece) {}

    /**
     * @param  list<Strike>  $strikes
     * @return array<int, StandardFingers> by strike; those of chords are in their grips
     */
    public static function of(array $strikes, Hand $hand, Piece $piece): array
    {
        $standards = new self($strikes, $hand, $piece);
        $standards->steps();
        $standards->runs(Chromatic::LEAST, self::HALF_STEP, $standards->chromatic(...));
        $standards->runs(Scales::LEAST, self::STEP, $standards->scale(...));
        foreach ($standards->scales as [$first, $last]) {
            $standards->turn($last, 1);
            $standards->turn($first, -1);
        }
        $standards->runs(Arpeggios::LEAST, self::SKIP, $standards->arpeggio(...));
        $standards->figures();

        return $standards->found;
    }

    /** How each single note comes from the one before it. */
    private function steps(): void
    {
        $before = null;
        foreach ($this->strikes as $i => $strike) {
            $this->kinds[$i] = 0;
            if (count($strike->keys) > 1) {
                $before = null;

                continue;
            }
            if ($before !== null) {
                $keys = $strike->keys[0] - $before->keys[0];
                $letters = $strike->letters[0] - $before->letters[0];
                $this->directions[$i] = $keys <=> 0;
                $this->kinds[$i] = match (true) {
                    abs($keys) === 1 => self::HALF_STEP | (abs($letters) === 1 ? self::STEP : 0),
                    abs($letters) === 1 && abs($keys) <= 3 && $letters * $keys > 0 => self::STEP,
                    abs($letters) >= 2 && abs($letters) <= 4 => self::SKIP,
                    default => 0,
                };
            }
            $before = $strike;
        }
    }

    /**
     * @param  int  $kind  of step that the run is made of
     * @param  \Closure(int, int, bool): void  $take  first, last, and whether it goes outwards
     */
    private function runs(int $least, int $kind, \Closure $take): void
    {
        $first = 0;
        $direction = 0;
        $count = count($this->strikes);
        for ($i = 1; $i <= $count; $i++) {
            $step = (($this->kinds[$i] ?? 0) & $kind) === 0 || isset($this->found[$i], $this->found[$i - 1]) ? 0 : $this->directions[$i] ?? 0;
            if ($step !== 0 && ($step === $direction || $i - 1 === $first)) {
                $direction = $step;

                continue;
            }
            if ($i - $first >= $least) {
                $take($first, $i - 1, $direction > 0);
            }
            $first = $step === 0 ? $i : $i - 1;
            $direction = $step;
        }
    }

    private function chromatic(int $first, int $last, bool $outwards): void
    {
        $run = $this->slice($first, $last);
        $this->take($first, Chromatic::fingers($run, $this->hand, $outwards));
    }

    private function scale(int $first, int $last, bool $outwards): void
    {
        $run = $this->slice($first, $last);
        $key = $this->piece->measures[$run[0]->events[0]->measure]->key;
        $fingers = Scales::fingers($outwards ? $run : array_reverse($run), $this->hand, $key);
        if ($fingers !== null) {
            $this->take($first, $outwards ? $fingers : array_reverse($fingers));
            $this->scales[] = [$first, $last];
        }
    }

    /** Where a tune turns back by step into the run that it comes from, or goes to, its keys keep their fingers. */
    private function turn(int $end, int $direction): void
    {
        $under = [];
        for ($i = $end; isset($this->found[$i]) && abs($i - $end) <= self::TURN; $i -= $direction) {
            $under[$this->strikes[$i]->keys[0]] ??= $this->found[$i];
        }
        for ($i = $end + $direction; abs($i - $end) <= self::TURN && isset($this->strikes[$i]) && $this->strikes[$i]->isSingle() && ! $this->strikes[max($i, $i - $direction)]->isApart; $i += $direction) {
            $keeps = $under[$this->strikes[$i]->keys[0]] ?? null;
            if ($keeps === null || isset($this->found[$i])) {
                return;
            }
            $this->take($i, [new StandardFingers($keeps->name, $keeps->finger, $keeps->finger, Scales::TURN_WEIGHT)]);
        }
    }

    private function arpeggio(int $first, int $last, bool $outwards): void
    {
        $run = $this->slice($first, $last);
        if (abs($run[count($run) - 1]->letters[0] - $run[0]->letters[0]) <= self::OCTAVE) {
            $keys = self::letters($run);
            $shape = ChordShape::of(array_keys($keys), array_values($keys));
            if ($shape !== null) {
                $this->figure($first, $last, array_keys($keys), $shape);
            }

            return;
        }
        $fingers = Arpeggios::fingers($outwards ? $run : array_reverse($run), $this->hand);
        if ($fingers !== null) {
            $this->take($first, $outwards ? $fingers : array_reverse($fingers));
        }
    }

    /**
     * @param  list<Strike>  $run  single notes
     * @return array<int, int> letters by key, outwards
     */
    private static function letters(array $run): array
    {
        $letters = [];
        foreach ($run as $strike) {
            $letters[$strike->keys[0]] = $strike->letters[0];
        }
        ksort($letters);

        return $letters;
    }

    /** Notes that go about on the keys of one chord, wider than five fingers lie: as the chord is taken. */
    private function figures(): void
    {
        $count = count($this->strikes);
        $next = 0;
        for ($first = 0; $first < $count; $first = $next) {
            $last = $first;
            $keys = [];
            while ($last < $count && $this->joins($first, $last, $keys)) {
                $keys[$this->strikes[$last]->keys[0]] = $this->strikes[$last]->letters[0];
                $last++;
            }
            ksort($keys);
            $letters = array_values($keys);
            $shape = count($keys) < 3 || $letters[count($letters) - 1] - $letters[0] <= self::FIVE_FINGERS ? null : ChordShape::of(array_keys($keys), $letters);
            if ($shape !== null) {
                $this->figure($first, $last - 1, array_keys($keys), $shape);
            }
            // The first notes of a figure may have been taken for the end of what was before.
            $next = max($first + 1, $shape === null ? $last - self::OVERLAP : $last);
        }
    }

    /** @param array<int, int> $keys letters by key */
    private function joins(int $first, int $i, array $keys): bool
    {
        $strike = $this->strikes[$i];
        if (! $strike->isSingle() || isset($this->found[$i]) || ($i > $first && $strike->isApart)) {
            return false;
        }
        if (isset($keys[$strike->keys[0]])) {
            return true;
        }
        $keys[$strike->keys[0]] = $strike->letters[0];

        return count($keys) <= 4 && max($keys) - min($keys) <= self::OCTAVE && (count($keys) < 2 || $this->isChord($keys));
    }

    /** @param non-empty-array<int, int> $keys letters by key */
    private function isChord(array $keys): bool
    {
        ksort($keys);
        $letters = array_values($keys);
        for ($i = 1; $i < count($letters); $i++) {
            if ($letters[$i] === $letters[$i - 1]) {
                return false;
            }
        }

        return count($keys) < 3 || ChordShape::isFigure(array_keys($keys), $letters);
    }

    /** @param list<int> $keys */
    private function figure(int $first, int $last, array $keys, ChordShape $shape): void
    {
        $fingers = [];
        foreach ($this->slice($first, $last) as $strike) {
            $at = (int) array_search($strike->keys[0], $keys, true);
            $fingers[] = new StandardFingers($shape->name, $shape->fingers[$at] ?? 0, $shape->or[$at] ?? 0, self::FIGURE_WEIGHT);
        }
        $this->take($first, $fingers);
    }

    /**
     * A pattern is the page's when the page's fingers are of it; else the page goes its own way.
     *
     * @param  list<StandardFingers>  $fingers
     */
    private function take(int $first, array $fingers): void
    {
        foreach ($fingers as $i => $standard) {
            $set = $this->strikes[$first + $i]->set[0] ?? null;
            if ($set !== null && $set !== $standard->finger && $set !== $standard->or) {
                return;
            }
        }
        foreach ($fingers as $i => $standard) {
            $this->found[$first + $i] ??= $standard;
        }
    }

    /** @return non-empty-list<Strike> */
    private function slice(int $first, int $last): array
    {
        return array_slice($this->strikes, $first, $last - $first + 1) ?: throw new \LogicException('a run has notes');
    }
}

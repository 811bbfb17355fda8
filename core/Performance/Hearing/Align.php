<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/**
 * Lays a take against what is written, at least cost: chords, extra keys, wrong and missed ones, restarts, jumps and
 * repeats that were left out. A cell is how many notes of the take and how many moments are done; each keeps its three
 * best ways, told apart by the moment that sounded last. Linear in practice: cells that cost far more than the best are
 * left behind.
 *
 * A way is its cost, the moment that sounded last or -1, when it did, and the step that led here.
 *
 * @phpstan-type Way array{int, int, int, int}
 */
final class Align
{
    /** What a key costs that is missed, that is too many, or that is another one. */
    private const FAULT = 1_000;

    /** A wrong key is not farther from the right one, in half steps. */
    public const WRONG_WITHIN = 4;

    /** Keys of a chord are struck within so many milliseconds. */
    private const CHORD = 420;

    /** Cells that cost so much more than the best are left behind. */
    private const BEAM = 4_800;

    /** So many cells go on from each note at most, whatever is played on whatever page. */
    private const CELLS = 48;

    private const WAYS = 3;

    private const TO_BAR = 1_750;

    private const TO_TOP = 1_800;

    private const ELSEWHERE = 3_600;

    private const AFTER_PAUSE = 1_200;

    private const REPEAT_LEFT_OUT = 2_200;

    private const AHEAD = 4_500;

    private const GIVE_UP = 2_000;

    private const GIVE_UP_EACH = 120;

    /** Each bar farther back: of two that are alike the nearer one is meant. Nobody goes farther than so many bars but to the top. */
    private const FAR_BACK = 150;

    private const FARTHEST = 8;

    private const BARS_BACK = 2;

    /** A pause in thousandths of the beat, and in milliseconds. */
    private const PAUSE_BEATS = 1_600;

    private const BREATH = 1_200;

    private const PAUSE = 700;

    /** Of the octave that a gap may be off without a word, and what an octave costs beyond it; the most when slow and when fast. */
    private const FREE = 0.22;

    private const OFF = 1_200;

    private const SLOW = 700;

    private const FAST = 900;

    /** @var list<array{int, int, int, int, int}> step before, kind, note of the take, moment, how many notes */
    private array $steps = [];

    private const PLAY = 0;

    private const EXTRA = 1;

    private const JUMP = 2;

    /** @var array<int, array<int, list<Way>>> by notes of the take that are done, and by moments */
    private array $cells = [];

    /** @var array<int, array<int, list<int>>> moments that have a key, by the key and the bar */
    private array $having = [];

    /** @var array<int, int> the first moment of each bar */
    private array $first = [];

    /** @var array<int, int> written notes from this moment on */
    private array $left = [];

    /** @var list<Moment> */
    private readonly array $moments;

    /**
     * @param  list<TakenNote>  $taken  by time
     * @param  list<int>  $quarters  milliseconds of a quarter at each of them; none where that is not known yet
     */
    private function __construct(private readonly WrittenMusic $music, private readonly array $taken, private readonly array $quarters)
    {
        $this->moments = $moments = $music->moments;
        $left = 0;
        for ($m = count($moments) - 1; $m >= 0; $m--) {
            $left += count($moments[$m]->keys);
            $this->left[$m] = $left;
            foreach ($moments[$m]->keys as $key) {
                $this->having[$key][$moments[$m]->bar][] = $m;
            }
            $this->first[$moments[$m]->bar] = $m;
        }
    }

    /**
     * @param  list<TakenNote>  $taken  by time
     * @param  list<int>  $quarters  milliseconds of a quarter at each of them; none where that is not known yet
     */
    public static function of(WrittenMusic $music, array $taken, array $quarters = []): Alignment
    {
        return (new self($music, $taken, $quarters))->find();
    }

    private function find(): Alignment
    {
        $this->cells = [0 => [0 => [[0, -1, 0, -1]]]];
        $notes = count($this->taken);
        for ($note = 0; $note < $notes; $note++) {
            $this->jumps($note);
            $this->note($note);
            unset($this->cells[$note]);
        }

        return $this->traced(...$this->end($notes));
    }

    /** From the cheapest ways so far to every moment that has the key that comes. */
    private function jumps(int $note): void
    {
        $best = null;
        $from = 0;
        foreach ($this->cells[$note] ?? [] as $moment => $ways) {
            if ($best === null || $ways[0][0] < $best[0]) {
                [$best, $from] = [$ways[0], $moment];
            }
        }
        if ($best === null) {
            return;
        }
        $pause = $this->waitsBefore($note, self::PAUSE_BEATS) ? self::AFTER_PAUSE : 0;
        foreach ($this->targets($note, $from) as $to) {
            if ($to !== $from) {
                $this->keep($note, $to, $best[0] + $this->jump($from, $to, $pause), -1, 0, [$best[3], self::JUMP, $note, $to, $from]);
            }
        }
    }

    /**
     * Moments near by that have the key, the top, what comes after a repeat, and after a breath the bars before.
     *
     * @return list<int>
     */
    private function targets(int $note, int $from): array
    {
        $found = [];
        $bar = $this->bar($from);
        $of = $this->having[$this->taken[$note]->pitch ?? 0] ?? [];
        for ($at = $bar - self::FARTHEST; $at <= $bar + self::FARTHEST; $at++) {
            array_push($found, ...($of[$at] ?? []));
        }
        foreach ([0, $this->first[$this->music->afterRepeat($bar) ?? -1] ?? 0] as $far) {
            if (in_array($far, $of[$this->bar($far)] ?? [], true)) {
                $found[] = $far;
            }
        }

        return array_values(array_unique($this->waitsBefore($note, self::BREATH) ? [...$found, ...$this->near($from)] : $found));
    }

    /**
     * After a breath the player may begin again at a bar, whichever key comes first.
     *
     * @return list<int> the top, and the beginnings of the bar that is on and of the one before it
     */
    private function near(int $from): array
    {
        $found = [0];
        for ($moment = min($from, count($this->moments) - 1); $moment > 0 && count($found) <= self::BARS_BACK; $moment--) {
            if ($this->moments[$moment]->begins) {
                $found[] = $moment;
            }
        }

        return $found;
    }

    private function jump(int $from, int $to, int $pause): int
    {
        $begins = ($this->moments[$to] ?? null)?->begins === true;
        $far = abs($this->bar($from) - $this->bar($to));
        if ($to < $from) {
            return max(0, match (true) {
                $to === 0 => self::TO_TOP,
                $begins => self::TO_BAR + self::FAR_BACK * $far,
                default => self::ELSEWHERE,
            } - $pause);
        }
        $left = $this->moments[$from] ?? null;
        $isRepeat = $left !== null && $left->begins && $begins && $this->music->afterRepeat($left->bar) === $this->moments[$to]->bar;

        return $isRepeat ? self::REPEAT_LEFT_OUT : self::AHEAD;
    }

    private function bar(int $moment): int
    {
        return ($this->moments[min($moment, count($this->moments) - 1)] ?? null)->bar ?? 0;
    }

    /** @param int $beats thousandths of a quarter */
    private function waitsBefore(int $note, int $beats): bool
    {
        $before = $this->taken[$note - 1] ?? null;
        $now = $this->taken[$note] ?? null;
        if ($before === null || $now === null) {
            return false;
        }
        $gap = $now->at - $before->at;
        $quarter = $this->quarters[$note] ?? 0;

        return $gap > self::PAUSE && $gap * 1_000 > $quarter * $beats;
    }

    /** Everything that the next note may be, from each cell. */
    private function note(int $note): void
    {
        $cells = $this->cells[$note] ?? [];
        $costs = array_map(static fn (array $ways): int => $ways[0][0], array_values($cells));
        sort($costs);
        $most = min(($costs[0] ?? 0) + self::BEAM, $costs[self::CELLS - 1] ?? PHP_INT_MAX);
        $count = count($this->moments);
        $end = $cells === [] ? -1 : max(array_keys($cells));
        for ($moment = $cells === [] ? 0 : min(array_keys($cells)); $moment <= $end; $moment++) {
            $ways = $this->cells[$note][$moment] ?? [];
            if ($ways === [] || $ways[0][0] > $most) {
                continue;
            }
            if ($moment < $count) {
                $missed = self::FAULT * count($this->moments[$moment]->keys);
                foreach ($ways as [$cost, $last, $at, $step]) {
                    if ($cost + $missed <= $most) {
                        $end = max($end, $moment + 1);
                        $this->keep($note, $moment + 1, $cost + $missed, $last, $at, null, $step);
                    }
                }
                $this->play($note, $moment, $ways, $most);
            }
            $extra = $this->extra($note);
            foreach ($ways as [$cost, $last, $at, $step]) {
                if ($cost + $extra <= $most + self::FAULT) {
                    $this->keep($note + 1, $moment, $cost + $extra, $last, $at, [$step, self::EXTRA, $note, $moment, 1]);
                }
            }
        }
    }

    /** A note that was heard hardly is cheap to leave. */
    private function extra(int $note): int
    {
        $sure = $this->taken[$note]->sure;

        return $sure >= Doubtful::OTHER ? self::FAULT : 60 + $sure;
    }

    /**
     * The moment with one note, or with several that came together.
     *
     * @param  list<Way>  $ways
     */
    private function play(int $note, int $moment, array $ways, int $most): void
    {
        $keys = $this->moments[$moment]->keys;
        $size = count($keys);
        $tick = $this->moments[$moment]->tick;
        $from = $this->taken[$note]->at;
        for ($count = 1; $count <= $size + 2 && isset($this->taken[$note + $count - 1]) && $this->taken[$note + $count - 1]->at - $from <= self::CHORD; $count++) {
            $cost = $this->chord($keys, $note, $count);
            if ($cost === null) {
                continue;
            }
            foreach ($ways as [$before, $last, $at, $step]) {
                $sum = $before + $cost + ($last < 0 ? 0 : $this->tempo($from - $at, $tick - $this->moments[$last]->tick, $note));
                if ($sum <= $most + 2 * self::FAULT) {
                    $this->keep($note + $count, $moment + 1, $sum, $moment, $from, [$step, self::PLAY, $note, $moment, $count]);
                }
            }
        }
    }

    /**
     * What it costs that these notes are this chord; null where none of them is a key of it or near one.
     *
     * @param  list<int>  $keys
     */
    private function chord(array $keys, int $note, int $count): ?int
    {
        [$right, $wrong, $extras] = self::matched($keys, array_slice($this->taken, $note, $count));
        if ($right === [] && $wrong === []) {
            return null;
        }
        // A chord begins with a note that belongs to it.
        if (! in_array(0, $right, true) && ! in_array(0, $wrong, true) && $count > 1) {
            return null;
        }
        $cost = self::FAULT * (count($keys) - count($right));
        foreach ($extras as $i) {
            $cost += $this->extra($note + $i);
        }

        return $cost;
    }

    /**
     * Right keys first, then each that is left with the nearest that is left.
     *
     * @param  list<int>  $keys
     * @param  list<TakenNote>  $taken
     * @return array{array<int, int>, array<int, int>, list<int>} notes by key that are right, that are wrong, and that are too many
     */
    public static function matched(array $keys, array $taken): array
    {
        $right = $wrong = [];
        $open = [];
        foreach ($taken as $i => $note) {
            if (in_array($note->pitch, $keys, true) && ! isset($right[$note->pitch])) {
                $right[$note->pitch] = $i;
            } else {
                $open[] = $i;
            }
        }
        // A key that was only brushed is the one that was too many.
        usort($open, static fn (int $a, int $b): int => [$taken[$a]->isBrushed(), $a] <=> [$taken[$b]->isBrushed(), $b]);
        $extras = [];
        foreach ($open as $i) {
            $near = null;
            foreach ($keys as $key) {
                $far = abs($key - $taken[$i]->pitch);
                if ($far > 0 && $far <= self::WRONG_WITHIN && $taken[$i]->sure >= Doubtful::OTHER && ! isset($right[$key]) && ! isset($wrong[$key]) && ($near === null || $far < abs($near - $taken[$i]->pitch))) {
                    $near = $key;
                }
            }
            if ($near === null) {
                $extras[] = $i;
            } else {
                $wrong[$near] = $i;
            }
        }

        return [$right, $wrong, $extras];
    }

    private function tempo(int $gap, int $ticks, int $note): int
    {
        $quarter = $this->quarters[$note] ?? 0;
        if ($quarter === 0 || $ticks <= 0) {
            return 0;
        }
        $off = log(max(1, $gap) * WrittenMusic::QUARTER / ($ticks * $quarter), 2);
        $cost = (int) (self::OFF * max(0, abs($off) - self::FREE));

        return min($off > 0 ? self::SLOW : self::FAST, $cost);
    }

    /**
     * @param  ?array{int, int, int, int, int}  $by  the step that led here; null where it is the one before
     */
    private function keep(int $note, int $moment, int $cost, int $last, int $at, ?array $by, int $step = -1): void
    {
        $ways = $this->cells[$note][$moment] ?? [];
        foreach ($ways as $i => $way) {
            if ($way[1] === $last) {
                if ($way[0] <= $cost) {
                    return;
                }
                unset($ways[$i]);
            }
        }
        if (count($ways) >= self::WAYS && end($ways)[0] <= $cost) {
            return;
        }
        if ($by !== null) {
            $this->steps[] = $by;
            $step = count($this->steps) - 1;
        }
        $ways[] = [$cost, $last, $at, $step];
        usort($ways, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $this->cells[$note][$moment] = array_slice($ways, 0, self::WAYS);
    }

    /** @return array{int, int, int} the cost, the last step of the cheapest way to the end, and the moment that would have come */
    private function end(int $notes): array
    {
        $best = [PHP_INT_MAX, -1, 0];
        foreach ($this->cells[$notes] ?? [] as $moment => $ways) {
            $left = $this->left[$moment] ?? 0;
            $more = $left === 0 ? 0 : min($left * self::FAULT, self::GIVE_UP + $left * self::GIVE_UP_EACH);
            if ($ways[0][0] + $more < $best[0]) {
                // A few keys at the end were missed; more of them were not come to.
                $best = [$ways[0][0] + $more, $ways[0][3], $more === $left * self::FAULT ? count($this->moments) : $moment];
            }
        }

        return $best;
    }

    private function traced(int $cost, int $last, int $end): Alignment
    {
        $way = [];
        for ($step = $last; $step >= 0; $step = $this->steps[$step][0]) {
            $way[] = $this->steps[$step];
        }
        $played = $runs = $missed = $extras = $again = $jumps = $of = $tried = [];
        [$run, $next] = [0, 0];
        foreach (array_reverse($way) as [, $kind, $note, $moment, $count]) {
            if ($kind === self::JUMP) {
                $missed += self::between($next, $count);
                // What broke off before going back was no key too many.
                array_push($again, ...($moment < $count ? $tried : []));
                $tried = [];
                $jumps[] = [$note, $count, $moment];
                [$run, $next] = [$run + 1, $moment];
            } elseif ($kind === self::EXTRA) {
                $extras[] = $tried[] = $note;
            } else {
                $tried = [];
                $missed += self::between($next, $moment);
                // What was played there before is not what counts.
                array_push($again, ...($of[$moment] ?? []));
                $of[$moment] = range($note, $note + $count - 1);
                [$runs[$moment], $next] = [$run, $moment + 1];
                [$played, $more] = $this->struck($played, $moment, $note, $count);
                array_push($extras, ...$more);
            }
        }
        $missed += self::between($next, $end);

        return new Alignment($cost, $played, $runs, array_diff_key($missed, $runs), array_values(array_diff($extras, $again)), $again, $jumps);
    }

    /** @return array<int, true> */
    private static function between(int $from, int $to): array
    {
        return $from < $to ? array_fill($from, $to - $from, true) : [];
    }

    /**
     * @param  array<int, int>  $played
     * @return array{array<int, int>, list<int>} with what this moment was, and what was too many
     */
    private function struck(array $played, int $moment, int $note, int $count): array
    {
        [$right, $wrong, $extras] = self::matched($this->moments[$moment]->keys, array_slice($this->taken, $note, $count));
        foreach ($this->moments[$moment]->notes as $written) {
            $key = $this->music->notes[$written]->pitch;
            $i = $right[$key] ?? $wrong[$key] ?? null;
            if ($i === null) {
                unset($played[$written]);
            } else {
                $played[$written] = $note + $i;
            }
        }

        return [$played, array_map(static fn (int $i): int => $note + $i, $extras)];
    }
}

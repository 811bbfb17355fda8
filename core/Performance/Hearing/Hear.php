<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

use Nasturtium\Core\Practice\Median;
use Nasturtium\Core\Score\Hand;

/** Lays a take against what is written and says what was right, wrong, missed, too many, where it stalled and began again (trade 18.1). */
final class Hear
{
    /** A hesitation is longer than the gap that was due, by so many milliseconds. */
    private const STALL = 950;

    /** Hands are apart from so many milliseconds on. */
    private const APART = 80;

    /** Early and late: so many hundredths of the gap to the neighbour. */
    private const OFF_BEAT = 30;

    /** Short and long: so many hundredths of what is written. */
    private const SHORT = 47;

    private const LONG = 150;

    /** Within a tenth of the beat around it. */
    private const STEADY = 10;

    /** Neighbours on either side that a moment is expected from. */
    private const NEAR = 3;

    /** One hand alone was played when that explains the take so much better. */
    private const ONE_HAND = 3_000;

    /** Thousandths of a fault for each key, over which a take is none of the page. */
    private const ANYTHING = 700;

    /** Percent of the keys of a hand, under which it may have been left out. */
    private const LEFT_OUT = 40;

    private readonly OwnBeat $beat;

    /** @var array<int, int> note of the take, by the index of the written one */
    private array $played;

    /** @var list<int> */
    private array $extras;

    /** @var array<int, int> moment of a written note */
    private array $momentOf = [];

    /** @var array<int, int> milliseconds of the hesitations, by the moment they come before */
    private array $stalled;

    /**
     * @param  list<TakenNote>  $taken  by time
     * @param  list<TakenNote>  $faint
     */
    private function __construct(private readonly WrittenMusic $music, private readonly array $taken, private readonly Alignment $alignment, private readonly Source $source, private readonly array $faint, private readonly int $octave)
    {
        $this->beat = OwnBeat::of($music, $alignment, $taken);
        $this->played = $alignment->played;
        $this->extras = $alignment->extras;
        $this->stalled = $this->stalls();
        foreach ($music->moments as $m => $moment) {
            foreach ($moment->notes as $written) {
                $this->momentOf[$written] = $m;
            }
        }
    }

    /** @param list<TakenNote> $taken in any order */
    public static function take(WrittenMusic $music, array $taken, Source $source = Source::Keyboard): Heard
    {
        usort($taken, static fn (TakenNote $a, TakenNote $b): int => [$a->at, $a->pitch] <=> [$b->at, $b->pitch]);
        $faint = $source === Source::Microphone ? Doubtful::faint($taken) : [];
        $taken = $source === Source::Microphone ? Doubtful::left($music, $taken) : $taken;
        $octave = Octave::of($music, $taken);
        $taken = Octave::shifted($taken, -$octave);
        [$of, $alignment] = self::aligned($music, $taken);

        return (new self($of, $taken, $alignment, $source, Octave::shifted($faint, -$octave), $octave))->heard();
    }

    /**
     * With both hands, or with the one that explains the take.
     *
     * @param  list<TakenNote>  $taken
     * @return array{WrittenMusic, Alignment}
     */
    private static function aligned(WrittenMusic $music, array $taken): array
    {
        [$best, $alignment] = [$music, self::twice($music, $taken)];
        if ($alignment->cost > self::ONE_HAND && $alignment->cost <= self::ANYTHING * max(count($taken), count($music->notes)) && $music->has(Hand::Left) && $music->has(Hand::Right)) {
            foreach (Hand::cases() as $hand) {
                $other = $hand === Hand::Left ? Hand::Right : Hand::Left;
                if (! self::isLeftOut($music, $alignment, $other)) {
                    continue;
                }
                $alone = $music->handAlone($hand);
                $of = self::twice($alone, $taken);
                if ($of->cost + self::ONE_HAND < $alignment->cost) {
                    [$best, $alignment] = [$alone, $of];
                }
            }
        }

        return [$best, $alignment];
    }

    /** Hardly any key of the hand was found in the take. */
    private static function isLeftOut(WrittenMusic $music, Alignment $alignment, Hand $hand): bool
    {
        $written = array_filter($music->notes, static fn (WrittenNote $note): bool => $note->hand === $hand);

        return 100 * count(array_intersect_key($written, $alignment->played)) < self::LEFT_OUT * count($written);
    }

    /**
     * The first time finds the beat, the second is held to it.
     *
     * @param  list<TakenNote>  $taken
     */
    private static function twice(WrittenMusic $music, array $taken): Alignment
    {
        $first = Align::of($music, $taken);
        // What has hardly a key of the page is not looked at again.
        if ($first->cost > self::ANYTHING * count($taken)) {
            return $first;
        }

        return Align::of($music, $taken, OwnBeat::of($music, $first, $taken)->atEach($taken));
    }

    private function heard(): Heard
    {
        $this->join();
        $this->believe();
        $apart = $this->apart();
        $notes = [];
        foreach ($this->music->notes as $i => $written) {
            $notes[] = $this->note($i, $written, isset($apart[$this->momentOf[$i] ?? -1]));
        }
        if ($this->source === Source::Microphone && Doubtful::isHardToHear($notes, array_map(fn (int $note): int => $this->taken[$note]->sure, $this->played))) {
            $notes = array_map(static fn (HeardNote $note): HeardNote => $note->status === HeardStatus::Missed ? new HeardNote($note->written, HeardStatus::Unsure) : $note, $notes);
        }
        $quarter = $this->beat->known ? $this->beat->usual() : null;

        return new Heard(
            $this->music,
            $this->source,
            $notes,
            array_map(fn (int $i): TakenNote => $this->taken[$i], $this->sure($this->extras)),
            array_map(fn (int $moment, int $by): array => ['before' => $this->music->moments[$moment]->notes[0], 'milliseconds' => $by], array_keys($this->stalled), $this->stalled),
            $this->restarts(),
            array_values($apart),
            $quarter === null ? null : intdiv(60_000_000, $quarter),
            $this->steady(),
            $this->octave,
        );
    }

    /**
     * By the microphone an extra key is told only when it was heard for sure.
     *
     * @param  list<int>  $extras
     * @return list<int>
     */
    private function sure(array $extras): array
    {
        sort($extras);

        return $this->source === Source::Keyboard ? $extras : array_values(array_filter($extras, fn (int $i): bool => Doubtful::isExtra($this->taken[$i], $this->music, $this->played, $this->taken)));
    }

    /** A missed key and one too many beside it are one: the right key out of its order, or a wrong one. */
    private function join(): void
    {
        foreach ([0, Align::WRONG_WITHIN] as $within) {
            foreach ($this->music->notes as $i => $written) {
                if (isset($this->played[$i]) || ! isset($this->momentOf[$i])) {
                    continue;
                }
                $extra = $this->extraFor($i, $written->pitch, $within);
                if ($extra !== null) {
                    $this->played[$i] = $extra;
                    $this->extras = array_values(array_diff($this->extras, [$extra]));
                }
            }
        }
    }

    /** By the microphone: a written key that was hardly heard, and a clear one beside it at the same moment, were the other key. */
    private function believe(): void
    {
        foreach ($this->played as $i => $note) {
            $of = $this->taken[$note];
            foreach ($of->sure < Doubtful::OTHER ? $this->extras : [] as $extra) {
                $other = $this->taken[$extra];
                if ($other->sure >= Doubtful::TOLD && abs($other->at - $of->at) <= Doubtful::TOGETHER && abs($other->pitch - $of->pitch) <= Align::WRONG_WITHIN) {
                    $this->played[$i] = $extra;
                    $this->extras = array_values(array_diff($this->extras, [$extra]));
                    break;
                }
            }
        }
    }

    private function extraFor(int $written, int $pitch, int $within): ?int
    {
        $moment = $this->momentOf[$written];
        $due = $this->due($moment);
        if ($due === null) {
            return null;
        }
        [$expected, $room] = $due;
        $best = null;
        foreach ($this->extras as $i) {
            $far = abs($this->taken[$i]->pitch - $pitch);
            $off = abs($this->taken[$i]->at - $expected);
            if ($far <= $within && $off <= $room && ($within === 0 || $this->taken[$i]->sure >= Doubtful::OTHER) && ($best === null || $off < $best[0])) {
                $best = [$off, $i];
            }
        }

        return $best[1] ?? null;
    }

    /** @return ?array{int, int} when a moment came or should have come, and how far off a key may be; null where nothing around it was played */
    private function due(int $moment): ?array
    {
        $before = $after = null;
        for ($m = $moment - 1; $m >= 0 && $before === null; $m--) {
            $before = isset($this->beat->at[$m]) ? $m : null;
        }
        for ($m = $moment + 1; $m < count($this->music->moments) && $after === null; $m++) {
            $after = isset($this->beat->at[$m]) ? $m : null;
        }
        $from = isset($this->beat->at[$moment]) ? $moment : ($before ?? $after);
        if ($from === null || (! isset($this->beat->at[$moment]) && ! isset($this->alignment->missed[$moment]))) {
            return null;
        }
        $quarter = $this->beat->quarters[$from];
        $ticks = fn (int $one, int $other): int => intdiv(abs($this->music->moments[$one]->tick - $this->music->moments[$other]->tick) * $quarter, WrittenMusic::QUARTER);
        $expected = $this->beat->at[$from] + ($moment <=> $from) * $ticks($moment, $from);
        $gaps = array_map(static fn (int $neighbour): int => $ticks($moment, $neighbour), array_values(array_filter([$moment - 1, $moment + 1], fn (int $m): bool => isset($this->music->moments[$m]))));

        return [$expected, max(200, intdiv(($gaps === [] ? $quarter : min($gaps)) * 45, 100))];
    }

    private function note(int $i, WrittenNote $written, bool $isApart): HeardNote
    {
        $moment = $this->momentOf[$i] ?? null;
        $played = $this->played[$i] ?? null;
        if ($played === null) {
            return new HeardNote($written, $moment === null || (! isset($this->alignment->runs[$moment]) && ! isset($this->alignment->missed[$moment])) ? HeardStatus::Skipped : $this->missed($written, $moment));
        }
        $note = $this->taken[$played];

        return new HeardNote(
            $written,
            $note->pitch === $written->pitch ? HeardStatus::Right : $this->wrong($note),
            $note->pitch,
            $note->at,
            $isApart || $moment === null ? Timing::Ok : $this->timing($moment, $note->at),
            $this->hold($moment, $written, $note),
        );
    }

    private function missed(WrittenNote $written, int $moment): HeardStatus
    {
        return $this->source === Source::Microphone ? Doubtful::missed($this->music, $written, $this->played, $this->taken, $this->faint, $this->due($moment)) : HeardStatus::Missed;
    }

    private function wrong(TakenNote $note): HeardStatus
    {
        return $this->source === Source::Microphone && $note->sure < Doubtful::TOLD ? HeardStatus::Unsure : HeardStatus::Wrong;
    }

    /** Against the beat of the moments around it, by the gap to the neighbour on that side. */
    private function timing(int $moment, int $at): Timing
    {
        $run = $this->alignment->runs[$moment] ?? null;
        $quarter = $this->beat->quarters[$moment] ?? null;
        if ($run === null || $quarter === null || $this->source === Source::Microphone) {
            return Timing::Ok;
        }
        $off = $this->offBeat($moment, $at, $run, $quarter);
        $neighbour = $moment + ($off <=> 0);
        if (! isset($this->music->moments[$neighbour]) || $off === 0) {
            return Timing::Ok;
        }
        $gap = intdiv(abs($this->music->moments[$neighbour]->tick - $this->music->moments[$moment]->tick) * $quarter, WrittenMusic::QUARTER);

        return match (true) {
            abs($off) * 100 < $gap * self::OFF_BEAT, abs($off) >= self::STALL => Timing::Ok,
            $off < 0 => Timing::Early,
            default => Timing::Late,
        };
    }

    /** How late it was by the moments before it and by those after it, whichever says less; 0 where they do not agree. */
    private function offBeat(int $moment, int $at, int $run, int $quarter): int
    {
        $off = [];
        foreach ([-1, 1] as $way) {
            $due = [];
            for ($m = $moment + $way; isset($this->music->moments[$m]) && count($due) < self::NEAR; $m += $way) {
                // Beyond a hesitation the beat began anew.
                if (isset($this->stalled[$way < 0 ? $m + 1 : $m])) {
                    break;
                }
                if (isset($this->beat->at[$m]) && ($this->alignment->runs[$m] ?? null) === $run) {
                    $due[] = $this->beat->at[$m] + intdiv(($this->music->moments[$moment]->tick - $this->music->moments[$m]->tick) * $quarter, WrittenMusic::QUARTER);
                }
            }
            $expected = Median::between($due);
            if ($expected !== null) {
                $off[] = $at - $expected;
            }
        }
        if ($off === [] || min($off) < 0 && max($off) > 0) {
            return 0;
        }

        return max($off) > 0 ? min($off) : max($off);
    }

    private function hold(?int $moment, WrittenNote $written, TakenNote $note): Hold
    {
        $quarter = $moment === null ? null : ($this->beat->quarters[$moment] ?? null);
        if ($quarter === null || ! $this->beat->known || $this->source === Source::Microphone) {
            return Hold::Ok;
        }
        $held = 100 * WrittenMusic::QUARTER * ($note->off - $note->at);
        $due = $written->lasts * $quarter;

        return match (true) {
            $held < self::SHORT * $due => Hold::Short,
            $held > self::LONG * $due => Hold::Long,
            default => Hold::Ok,
        };
    }

    /** @return array<int, int> */
    private function stalls(): array
    {
        $stalls = [];
        $before = null;
        foreach ($this->beat->at as $moment => $at) {
            if ($before !== null && $this->alignment->runs[$before] === $this->alignment->runs[$moment]) {
                $ticks = $this->music->moments[$moment]->tick - $this->music->moments[$before]->tick;
                $quarter = intdiv($this->beat->quarters[$before] + $this->beat->quarters[$moment], 2);
                $over = $at - $this->beat->at[$before] - intdiv($ticks * $quarter, WrittenMusic::QUARTER);
                if ($over >= self::STALL) {
                    $stalls[$moment] = $over;
                }
            }
            $before = $moment;
        }

        return $stalls;
    }

    /** @return list<array{at: int, from: int, to: int}> */
    private function restarts(): array
    {
        $restarts = [];
        $last = count($this->music->moments) - 1;
        foreach ($this->alignment->jumps as [$note, $from, $to]) {
            if ($to < $from) {
                $restarts[] = ['at' => $this->taken[$note]->at, 'from' => $this->music->moments[min($from, $last)]->notes[0], 'to' => $this->music->moments[$to]->notes[0]];
            }
        }

        return $restarts;
    }

    /** @return array<int, array{note: int, milliseconds: int}> by moment */
    private function apart(): array
    {
        $apart = [];
        foreach ($this->music->moments as $m => $moment) {
            $first = [];
            foreach ($moment->notes as $i) {
                if (isset($this->played[$i])) {
                    $hand = $this->music->notes[$i]->hand->value;
                    $first[$hand] = min($first[$hand] ?? PHP_INT_MAX, $this->taken[$this->played[$i]]->at);
                }
            }
            $between = count($first) < 2 ? 0 : max($first) - min($first);
            if ($between > self::APART) {
                $apart[$m] = ['note' => $moment->notes[0], 'milliseconds' => $between];
            }
        }

        return $apart;
    }

    /** Of a thousand beats, those within a tenth of the beat around them. */
    private function steady(): ?int
    {
        [$all, $steady] = [0, 0];
        $before = null;
        foreach ($this->beat->at as $moment => $at) {
            if ($before !== null && $this->alignment->runs[$before] === $this->alignment->runs[$moment]) {
                $due = intdiv(($this->music->moments[$moment]->tick - $this->music->moments[$before]->tick) * $this->beat->quarters[$moment], WrittenMusic::QUARTER);
                $all++;
                $steady += abs($at - $this->beat->at[$before] - $due) * self::STEADY <= $due ? 1 : 0;
            }
            $before = $moment;
        }

        return $all === 0 ? null : intdiv(1_000 * $steady, $all);
    }
}

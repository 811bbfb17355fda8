<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing\Trial;

use Nasturtium\Core\Performance\Hearing\HeardStatus;
use Nasturtium\Core\Performance\Hearing\Hold;
use Nasturtium\Core\Performance\Hearing\TakenNote;
use Nasturtium\Core\Performance\Hearing\Timing;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Score\Hand;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Plays a piece as a student might, with the truth about it: tempo drifts, keys are wrong, missed or too many, it stalls,
 * begins again, leaves a repeat out. The same seed plays the same take.
 */
final class InventTake
{
    /** Milliseconds that a moment is off the beat at most. */
    private const FARTHEST = 700;

    private readonly Randomizer $chance;

    private float $quarter;

    private float $now = 0.0;

    /** @var list<TakenNote> */
    private array $taken = [];

    /** @var array<int, TrueNote> */
    private array $notes = [];

    /** @var list<array{int, int}> */
    private array $extras = [];

    /** @var list<array{int, int}> */
    private array $again = [];

    /** @var list<int> */
    private array $stalls = [];

    /** @var list<array{int, int}> */
    private array $restarts = [];

    /** @var array<int, true> */
    private array $apart = [];

    /** @var array<int, list<array{int, int}>> what was struck at a moment the last time */
    private array $struck = [];

    private function __construct(private readonly WrittenMusic $music, private readonly TakeKind $kind, int $seed)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar($seed));
        [$slow, $quick] = $kind === TakeKind::Fast ? [112, 160] : [50, 112];
        $this->quarter = 60_000 / $this->chance->getInt($slow, $quick);
        $this->now = $this->chance->getInt(300, 2_000);
    }

    public static function of(WrittenMusic $music, TakeKind $kind, int $seed): InventedTake
    {
        return (new self($music, $kind, $seed))->play();
    }

    private function play(): InventedTake
    {
        $hand = $this->kind === TakeKind::OneHand && $this->music->has(Hand::Left) && $this->music->has(Hand::Right) ? ($this->chance->getInt(0, 1) === 0 ? Hand::Left : Hand::Right) : null;
        $way = $this->way();
        $before = null;
        for ($i = 0; $i < count($way); $i++) {
            $moment = $way[$i];
            $isJump = $before !== null && $moment !== $before + 1 && $moment <= $before;
            $this->pass($before, $moment, $isJump);
            $this->moment($moment, $hand);
            $before = $moment;
            if ($this->happens(TakeKind::Restart) && $i > 2 && $i < count($way) - 1) {
                array_splice($way, $i + 1, 0, range($this->back($moment), $moment));
            }
        }
        usort($this->taken, static fn (TakenNote $a, TakenNote $b): int => [$a->at, $a->pitch] <=> [$b->at, $b->pitch]);
        foreach (array_keys($this->music->notes) as $note) {
            $this->notes[$note] ??= new TrueNote(HeardStatus::Skipped);
        }
        ksort($this->notes);

        return new InventedTake($this->taken, $this->notes, $this->extras, $this->again, $this->stalls, $this->restarts, array_keys($this->apart));
    }

    /** @return non-empty-list<int> moments in the order in which they are played */
    private function way(): array
    {
        $all = range(0, count($this->music->moments) - 1);
        if ($this->kind === TakeKind::RepeatLeftOut) {
            foreach ($this->music->moments as $moment) {
                $after = $moment->begins ? $this->music->afterRepeat($moment->bar) : null;
                if ($after !== null) {
                    $left = array_values(array_filter($all, fn (int $m): bool => $this->music->moments[$m]->bar < $moment->bar || $this->music->moments[$m]->bar >= $after));

                    return $left === [] ? $all : $left;
                }
            }
        }

        return $this->kind === TakeKind::Stopped ? array_slice($all, 0, max(1, intdiv(count($all) * $this->chance->getInt(40, 85), 100))) : $all;
    }

    /** The start of this bar or of the one before it; now and then the top. */
    private function back(int $moment): int
    {
        if ($this->chance->getInt(1, 8) === 1) {
            return 0;
        }
        $bars = $this->chance->getInt(1, 3) === 1 ? 1 : 0;
        while ($moment > 0 && ! ($this->music->moments[$moment]->begins && $bars-- === 0)) {
            $moment--;
        }

        return $moment;
    }

    private function pass(?int $before, int $moment, bool $isJump): void
    {
        if ($before === null) {
            return;
        }
        if ($isJump) {
            $this->now += $this->quarter * ($this->lastOf($before) / WrittenMusic::QUARTER + $this->chance->getInt(40, 250) / 100);
            $this->restarts[] = [(int) $this->now, $moment];

            return;
        }
        $ticks = $moment === $before + 1 || $this->kind !== TakeKind::RepeatLeftOut ? $this->music->moments[$moment]->tick - $this->music->moments[$before]->tick : $this->lastOf($before);
        $this->quarter *= exp($this->spread(0.012) - ($this->kind === TakeKind::Rushed ? 0.006 : 0));
        $this->quarter = max(300, min(1_400, $this->quarter));
        $this->now += $ticks * $this->quarter / WrittenMusic::QUARTER;
        if ($this->happens(TakeKind::Stall)) {
            $this->now += $this->chance->getInt(1_200, 3_500);
            $this->stalls[] = $moment;
        }
    }

    /** To the end of a bar, from its last moment. */
    private function lastOf(int $moment): int
    {
        return max([0, ...array_map(fn (int $i): int => $this->music->notes[$i]->lasts, $this->music->moments[$moment]->notes)]);
    }

    private function moment(int $moment, ?Hand $hand): void
    {
        foreach ($this->struck[$moment] ?? [] as $struck) {
            $this->again[] = $struck;
        }
        $this->struck[$moment] = [];
        unset($this->apart[$moment]);
        [$late, $by] = $this->apartBy($moment, $hand);
        $off = $this->happens(TakeKind::OffBeat) ? $this->chance->getInt(32, 45) * ($this->chance->getInt(0, 1) === 0 ? -1 : 1) : 0;
        $gap = $this->gap($moment, $off);
        $timing = $off === 0 || $gap === null ? Timing::Ok : ($off < 0 ? Timing::Early : Timing::Late);
        $at = $this->now + ($gap === null ? 0 : $gap * $off / 100);
        foreach ($this->music->moments[$moment]->notes as $note) {
            $written = $this->music->notes[$note];
            if ($hand !== null && $written->hand !== $hand) {
                continue;
            }
            if ($this->happens(TakeKind::Missed)) {
                $this->notes[$note] = new TrueNote(HeardStatus::Missed);

                continue;
            }
            $when = max(0, (int) ($at + $this->spread(11) + ($written->hand === $late ? $by : 0)));
            $key = $this->happens(TakeKind::Wrong) ? $this->beside($moment, $written->pitch) : $written->pitch;
            [$hold, $lasts] = $this->holds($written->lasts * $this->quarter / WrittenMusic::QUARTER);
            $this->strike($moment, $when, $when + max(60, $lasts), $key);
            $this->notes[$note] = new TrueNote($key === $written->pitch ? HeardStatus::Right : HeardStatus::Wrong, $key, $when, $timing, $hold);
        }
        if ($this->happens(TakeKind::Extra)) {
            $key = $this->beside($moment, $this->music->moments[$moment]->keys[0]);
            $when = max(0, (int) ($this->now + $this->chance->getInt(-60, 250)));
            $this->strike($moment, $when, $when + $this->chance->getInt(60, 140), $key);
            $this->extras[] = [$when, $key];
        }
    }

    /** @return array{?Hand, int} which hand is late, and by how much */
    private function apartBy(int $moment, ?Hand $hand): array
    {
        $hands = array_unique(array_map(fn (int $i): string => $this->music->notes[$i]->hand->value, $this->music->moments[$moment]->notes));
        if ($hand !== null || count($hands) < 2 || ! $this->happens(TakeKind::Apart)) {
            return [null, 0];
        }
        $this->apart[$moment] = true;

        return [$this->chance->getInt(0, 1) === 0 ? Hand::Left : Hand::Right, $this->chance->getInt(120, 240)];
    }

    /** Milliseconds to the neighbour on that side; null where there is none. */
    private function gap(int $moment, int $side): ?float
    {
        $other = $this->music->moments[$moment + ($side <=> 0)] ?? null;

        $gap = $side === 0 || $other === null ? null : abs($other->tick - $this->music->moments[$moment]->tick) * $this->quarter / WrittenMusic::QUARTER;

        // So far off a long note is a hesitation.
        return $gap === null || $gap * abs($side) > 100 * self::FARTHEST ? null : $gap;
    }

    /** @return array{Hold, int} */
    private function holds(float $due): array
    {
        if (! $this->happens(TakeKind::Held)) {
            return [Hold::Ok, (int) ($due * $this->chance->getInt(70, 105) / 100)];
        }

        return $this->chance->getInt(0, 1) === 0 ? [Hold::Short, (int) ($due * $this->chance->getInt(15, 38) / 100)] : [Hold::Long, (int) ($due * $this->chance->getInt(175, 260) / 100)];
    }

    private function strike(int $moment, int $at, int $off, int $key): void
    {
        $this->taken[] = new TakenNote($at, $off, $key, $this->chance->getInt(45, 90));
        $this->struck[$moment][] = [$at, $key];
    }

    /** A key near another that is none of the moment. */
    private function beside(int $moment, int $key): int
    {
        do {
            $other = $key + $this->chance->getInt(1, 4) * ($this->chance->getInt(0, 1) === 0 ? -1 : 1);
        } while (in_array($other, $this->music->moments[$moment]->keys, true));

        return $other;
    }

    private function happens(TakeKind $what): bool
    {
        $rate = $this->kind->rate($what);

        return $rate > 0 && $this->chance->getInt(1, 1_000) <= $rate;
    }

    /** Around zero, with this deviation. */
    private function spread(float $deviation): float
    {
        $one = $this->chance->getInt(1, 1_000_000) / 1_000_000;
        $other = $this->chance->getInt(0, 1_000_000) / 1_000_000;

        return $deviation * sqrt(-2 * log($one)) * cos(2 * M_PI * $other);
    }
}

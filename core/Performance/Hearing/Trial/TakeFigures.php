<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing\Trial;

use Nasturtium\Core\Performance\Hearing\Heard;
use Nasturtium\Core\Performance\Hearing\HeardNote;
use Nasturtium\Core\Performance\Hearing\HeardStatus;
use Nasturtium\Core\Performance\Hearing\Hold;
use Nasturtium\Core\Performance\Hearing\TakenNote;
use Nasturtium\Core\Performance\Hearing\Timing;

/** What was heard against the truth, summed over takes: hits, false alarms and misses of each sort. */
final class TakeFigures
{
    /** An extra key is found within so many milliseconds, a restart within a second. */
    private const EXTRA_WITHIN = 100;

    private const RESTART_WITHIN = 1_000;

    /** @var array<string, array{int, int, int}> */
    private array $of = [];

    public int $takes = 0;

    /** Takes without any fault too many or too few. */
    public int $clean = 0;

    public function add(InventedTake $truth, Heard $heard): void
    {
        $this->takes++;
        $before = $this->of;
        $momentOf = [];
        foreach ($heard->music->moments as $m => $moment) {
            foreach ($moment->notes as $note) {
                $momentOf[$note] = $m;
            }
        }
        $this->notes($truth, $heard);
        $this->matched('stall', $truth->stalls, array_map(static fn (array $stall): int => $momentOf[$stall['before']], $heard->stalls), static fn (int $a, int $b): bool => abs($a - $b) <= 1);
        $this->matched('restart', $truth->restarts, array_map(static fn (array $one): array => [$one['at'], $momentOf[$one['to']]], $heard->restarts), static fn (array $a, array $b): bool => abs($a[0] - $b[0]) <= self::RESTART_WITHIN && abs($a[1] - $b[1]) <= 2);
        $this->matched('apart', $truth->apart, array_map(static fn (array $one): int => $momentOf[$one['note']] ?? -1, $heard->apart), static fn (int $a, int $b): bool => $a === $b);
        $this->clean += $this->faults($before) === $this->faults($this->of) ? 1 : 0;
    }

    /** Harmonic mean of precision and recall, in thousandths; a thousand where there was nothing to find and nothing was found. */
    public function f1(string ...$sorts): int
    {
        [$hits, $false, $missed] = $this->sum(...$sorts);

        return 2 * $hits + $false + $missed === 0 ? 1_000 : intdiv(2_000 * $hits, 2 * $hits + $false + $missed);
    }

    /** @return array{int, int, int} hits, false alarms, misses */
    public function sum(string ...$sorts): array
    {
        $sum = [0, 0, 0];
        foreach ($sorts as $sort) {
            foreach ($this->of[$sort] ?? [0, 0, 0] as $i => $count) {
                $sum[$i] += $count;
            }
        }

        return $sum;
    }

    private function notes(InventedTake $truth, Heard $heard): void
    {
        // One key missed and one too many, and a wrong key, are one reading of the same.
        $extras = $truth->extras;
        $found = array_map(static fn (TakenNote $note): array => [$note->at, $note->pitch], $heard->extras);
        foreach ($heard->notes as $i => $note) {
            $true = $truth->notes[$i];
            $said = $note->status;
            if ($true->status === HeardStatus::Missed && $said === HeardStatus::Wrong && ($at = self::find($extras, $note->at, $note->played)) !== null) {
                unset($extras[$at]);
                $said = HeardStatus::Missed;
                $this->count('extra', 0);
            } elseif ($true->status === HeardStatus::Wrong && $said === HeardStatus::Missed && ($at = self::find($found, $true->at, $true->played)) !== null) {
                unset($found[$at]);
                $said = HeardStatus::Wrong;
            }
            $this->status($true->status, $said);
            $this->how($note, $true);
        }
        foreach ($found as $one) {
            $at = self::find($extras, ...$one);
            if ($at !== null) {
                unset($extras[$at]);
                $this->count('extra', 0);
            } elseif (self::find($truth->again, ...$one) === null) {
                $this->count('extra', 1);
            }
        }
        foreach ($extras as $_) {
            $this->count('extra', 2);
        }
    }

    private function status(HeardStatus $true, HeardStatus $said): void
    {
        if ($true === $said) {
            $this->count($true->value, 0);
        } else {
            $this->count($said->value, 1);
            $this->count($true->value, 2);
        }
    }

    private function how(HeardNote $note, TrueNote $true): void
    {
        if (! $note->status->sounded() || ! $true->status->sounded()) {
            return;
        }
        foreach ([[$note->timing, $true->timing, Timing::Ok], [$note->hold, $true->hold, Hold::Ok]] as [$said, $is, $ok]) {
            if ($said === $is) {
                $this->count($said->value, 0);
            } else {
                $said === $ok ? null : $this->count($said->value, 1);
                $is === $ok ? null : $this->count($is->value, 2);
            }
        }
    }

    /**
     * @template T
     *
     * @param  list<T>  $true
     * @param  list<T>  $said
     * @param  \Closure(T, T): bool  $same
     */
    private function matched(string $sort, array $true, array $said, \Closure $same): void
    {
        foreach ($said as $one) {
            $at = null;
            foreach ($true as $i => $other) {
                $at ??= $same($other, $one) ? $i : null;
            }
            $this->count($sort, $at === null ? 1 : 0);
            if ($at !== null) {
                unset($true[$at]);
            }
        }
        foreach ($true as $_) {
            $this->count($sort, 2);
        }
    }

    /** @param array<int, array{int, int}> $of */
    private static function find(array $of, ?int $at, ?int $key): ?int
    {
        foreach ($of as $i => [$when, $pitch]) {
            if ($at !== null && $pitch === $key && abs($when - $at) <= self::EXTRA_WITHIN) {
                return $i;
            }
        }

        return null;
    }

    private function count(string $sort, int $which): void
    {
        $of = $this->of[$sort] ?? [0, 0, 0];
        $of[$which]++;
        $this->of[$sort] = [$of[0], $of[1], $of[2]];
    }

    /**
     * @param  array<string, array{int, int, int}>  $of
     * @return list<int>
     */
    private function faults(array $of): array
    {
        $wrong = [];
        foreach (['wrong', 'missed', 'extra'] as $sort) {
            array_push($wrong, $of[$sort][1] ?? 0, $of[$sort][2] ?? 0);
        }

        return $wrong;
    }
}

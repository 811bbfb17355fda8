<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** How well a page was read: counts of what the teacher had to change, and of what she was asked without need. */
final readonly class ReadingFigure
{
    /**
     * @param int $notes    heads of the corrected page
     * @param int $right    of these, read with their place, accidental, onset and length as they stay
     * @param int $fingers  printed numbers of the corrected page
     * @param int $known    of these, read as they stay
     * @param int $signs    clefs, keys and times that were changed
     * @param int $doubts   places that were shown
     * @param int $needless of these, left as they were read
     */
    public function __construct(public int $notes, public int $right, public int $fingers, public int $known, public int $signs, public int $doubts, public int $needless) {}

    public static function of(ReadPage $read, ReadPage $corrected): self
    {
        [$notes, $right, $fingers, $known, $signs, $doubts, $needless] = [0, 0, 0, 0, 0, 0, 0];
        foreach ($corrected->pieces as $p => $piece) {
            $was = $read->pieces[$p] ?? $read->pieces[0];
            $signs += ($piece->clefs !== $was->clefs ? 1 : 0) + ($piece->fifths !== $was->fifths ? 1 : 0) + ($piece->time->looksLike($was->time) ? 0 : 1);
            foreach ($piece->bars as $n => $bar) {
                $seen = self::seen($was, $bar, $n);
                foreach ($bar->staves as $staff => $own) {
                    $before = $seen->staves[$staff] ?? [];
                    [$all, $same] = self::alike(self::notes($before), self::notes($own));
                    [$numbers, $read5] = self::alike(self::numbers($before), self::numbers($own));
                    $notes += $all;
                    $right += $same;
                    $fingers += $numbers;
                    $known += $read5;
                    if (in_array($staff + 1, array_column($seen->doubts ?? [], 0), true)) {
                        $doubts++;
                        $needless += self::notes($before) === self::notes($own) && self::rests($before) === self::rests($own) ? 1 : 0;
                    }
                }
            }
        }

        return new self($notes, $right, $fingers, $known, $signs, $doubts, $needless);
    }

    /** The bar as it was read: where bar lines were put or taken away, the one that began there; null where none did. */
    private static function seen(ReadPhoto $was, ReadBar $bar, int $n): ?ReadBar
    {
        $begins = static fn (?ReadBar $one): bool => $one !== null && $one->line === $bar->line && ($one->columns[0][0] ?? null) === ($bar->columns[0][0] ?? null);

        return $begins($was->bars[$n] ?? null) ? $was->bars[$n] : array_values(array_filter($was->bars, $begins))[0] ?? null;
    }

    /**
     * @param  list<string>    $before
     * @param  list<string>    $after
     * @return array{int, int} how many there are, and how many were so before
     */
    private static function alike(array $before, array $after): array
    {
        $same = 0;
        foreach ($after as $one) {
            $at = array_search($one, $before, true);
            if ($at !== false) {
                unset($before[$at]);
                $same++;
            }
        }

        return [count($after), $same];
    }

    /**
     * @param  list<ReadSign> $signs
     * @return list<string>
     */
    private static function notes(array $signs): array
    {
        $notes = [];
        foreach ($signs as $sign) {
            foreach ($sign->heads as $head) {
                $notes[] = "{$sign->onset} {$sign->ticks()} {$head->place} ".($head->sign ?? 'none');
            }
        }

        return $notes;
    }

    /**
     * @param  list<ReadSign> $signs
     * @return list<string>
     */
    private static function numbers(array $signs): array
    {
        $numbers = [];
        foreach ($signs as $sign) {
            foreach ($sign->heads as $head) {
                if ($head->finger !== null) {
                    $numbers[] = "{$sign->onset} {$head->place} {$head->finger}";
                }
            }
        }

        return $numbers;
    }

    /**
     * @param  list<ReadSign> $signs
     * @return list<string>
     */
    private static function rests(array $signs): array
    {
        return array_values(array_map(static fn (ReadSign $sign): string => "{$sign->onset} {$sign->ticks()}", array_filter($signs, static fn (ReadSign $sign): bool => $sign->isRest())));
    }
}

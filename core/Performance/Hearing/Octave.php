<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** A take that was played an octave higher or lower than it is written (trade 18.5). */
final class Octave
{
    private const HALF_STEPS = 12;

    /** Percent of the keys that are then written, and how many more than where they were played. */
    private const MOST = 80;

    private const MORE = 30;

    /**
     * @param  list<TakenNote>  $taken
     * @return int octaves that it is higher; below 0 lower
     */
    public static function of(WrittenMusic $music, array $taken): int
    {
        $written = [];
        foreach ($music->notes as $note) {
            $written[$note->pitch] = true;
        }
        $clear = array_filter($taken, static fn (TakenNote $note): bool => $note->sure >= Doubtful::OTHER);
        $fits = static fn (int $octave): int => count(array_filter($clear, static fn (TakenNote $note): bool => isset($written[$note->pitch - self::HALF_STEPS * $octave])));
        $here = $fits(0);
        foreach ([1, -1] as $octave) {
            $there = $fits($octave);
            if ($clear !== [] && 100 * $there >= self::MOST * count($clear) && 100 * ($there - $here) >= self::MORE * count($clear)) {
                return $octave;
            }
        }

        return 0;
    }

    /**
     * @param  list<TakenNote>  $taken
     * @return list<TakenNote>
     */
    public static function shifted(array $taken, int $octaves): array
    {
        return $octaves === 0 ? $taken : array_map(static fn (TakenNote $note): TakenNote => new TakenNote($note->at, $note->off, $note->pitch + self::HALF_STEPS * $octaves, $note->velocity, $note->sure), $taken);
    }
}

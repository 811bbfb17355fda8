<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/**
 * What the microphone hears by halves: a note that is written is believed sooner than one that is not, and one that lies
 * over another that sounds may have been masked by it.
 */
final readonly class Doubtful
{
    /** Thousandths: from here on a written key is taken for played, and one that is not written. */
    private const WRITTEN = 20;

    public const OTHER = 500;

    /** From here on a fault is told as a fact. */
    public const TOLD = 850;

    /** Half steps above a key, at which its own overtones lie. */
    private const OVERTONES = [12, 19, 24, 28, 31, 36];

    /**
     * @param  list<TakenNote>  $taken
     * @return list<TakenNote> what is looked at
     */
    public static function left(WrittenMusic $music, array $taken): array
    {
        $written = [];
        foreach ($music->notes as $note) {
            $written[$note->pitch] = true;
        }

        return array_values(array_filter($taken, static fn (TakenNote $note): bool => $note->sure >= (isset($written[$note->pitch]) ? self::WRITTEN : self::OTHER)));
    }

    /**
     * A key that was not heard: unsure where an overtone of another covers it.
     *
     * @param  array<int, int>  $played
     * @param  list<TakenNote>  $taken
     */
    public static function missed(WrittenMusic $music, WrittenNote $written, int $moment, array $played, array $taken): HeardStatus
    {
        foreach ($music->moments[$moment]->notes as $other) {
            if (isset($played[$other]) && in_array($written->pitch - $taken[$played[$other]]->pitch, self::OVERTONES, true)) {
                return HeardStatus::Unsure;
            }
        }

        return HeardStatus::Missed;
    }
}

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

    /** From here on another key is told as a fact, and one too many. */
    public const TOLD = 850;

    private const EXTRA = 950;

    /** One key in so many that was hardly heard, and a take is hard to hear. */
    private const HARDLY = 14;

    /** Milliseconds within which keys count as struck together, and for which a key rings at least. */
    public const TOGETHER = 120;

    /** A finger brushes a key at most so many half steps off, within so many milliseconds. */
    private const BESIDE = 2;

    private const BRUSHED_WITHIN = 500;

    private const RINGS = 2_500;

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
     * What is too faint to be taken for played, and may have been.
     *
     * @param  list<TakenNote>  $taken
     * @return list<TakenNote>
     */
    public static function faint(array $taken): array
    {
        return array_values(array_filter($taken, static fn (TakenNote $note): bool => $note->sure < self::WRITTEN));
    }

    /**
     * A key that was not heard: unsure where an overtone of another that sounds then covers it, and where something faint
     * was heard in its place.
     *
     * @param  array<int, int>  $played  note of the take, by the index of the written one
     * @param  list<TakenNote>  $taken
     * @param  list<TakenNote>  $faint
     * @param  ?array{int, int}  $due  when it should have come, and how far off it may be
     */
    public static function missed(WrittenMusic $music, WrittenNote $written, array $played, array $taken, array $faint, ?array $due): HeardStatus
    {
        foreach ($faint as $note) {
            if ($due === null || ($note->pitch === $written->pitch && abs($note->at - $due[0]) <= $due[1])) {
                return HeardStatus::Unsure;
            }
        }
        foreach ($played as $i => $note) {
            $other = $music->notes[$i];
            if ($other->tick <= $written->tick && $written->tick < $other->tick + $other->lasts && in_array($written->pitch - $taken[$note]->pitch, self::OVERTONES, true)) {
                return HeardStatus::Unsure;
            }
        }

        return HeardStatus::Missed;
    }

    /**
     * Where one key in fourteen was hardly heard, what was not heard may have come as well: then no key is told as missed.
     *
     * @param  list<HeardNote>  $notes
     * @param  array<int, int>  $sure  thousandths, by the index of the written note
     */
    public static function isHardToHear(array $notes, array $sure): bool
    {
        $unsure = count(array_filter($notes, static fn (HeardNote $note): bool => $note->status === HeardStatus::Unsure && $note->at === null));
        $hardly = $unsure + count(array_filter($sure, static fn (int $one): bool => $one < self::OTHER));

        return $hardly > 0 && self::HARDLY * $hardly >= $unsure + count($sure);
    }

    /**
     * A key too many is told where it lies beside one that was struck about then, and nothing else explains it: no key that
     * sounds and was heard to begin anew, and none whose overtones it shares, above it or below.
     *
     * @param  array<int, int>  $played  note of the take, by the index of the written one
     * @param  list<TakenNote>  $taken
     */
    public static function isExtra(TakenNote $extra, WrittenMusic $music, array $played, array $taken): bool
    {
        if ($extra->sure < self::EXTRA) {
            return false;
        }
        $isBeside = false;
        foreach ($played as $i => $note) {
            $other = $taken[$note];
            $isBeside = $isBeside || (abs($other->pitch - $extra->pitch) <= self::BESIDE && abs($other->at - $extra->at) <= self::BRUSHED_WITHIN);
            $isNear = $other->at - self::TOGETHER <= $extra->at && $extra->at <= max($other->off, $other->at + self::RINGS);
            if ($isNear && (($music->notes[$i]->pitch - $extra->pitch) === 0 || in_array(abs($other->pitch - $extra->pitch), [0, ...self::OVERTONES], true))) {
                return false;
            }
        }

        return $isBeside;
    }
}

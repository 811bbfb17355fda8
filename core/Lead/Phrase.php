<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Piece;

/** How long bars take, how they are named, and how slowly they are taken. */
final readonly class Phrase
{
    /** Beats a minute where the task has no tempo. */
    private const USUAL = 60;

    /** Words a child can follow in ten seconds. */
    private const WORDS_IN_TEN_SECONDS = 22;

    /** Seconds to get ready again after playing (trade 9.2). */
    private const RESET = 4;

    public static function secondsToSay(string $words): int
    {
        return 1 + intdiv(10 * count(explode(' ', trim($words))) + self::WORDS_IN_TEN_SECONDS - 1, self::WORDS_IN_TEN_SECONDS);
    }

    public static function tempo(LeadTask $task): int
    {
        return $task->tempo ?? self::USUAL;
    }

    /** So many rungs below a tempo. */
    public static function slower(int $tempo, int $rungs): int
    {
        return $rungs === 0 ? $tempo : self::slower(TempoLadder::downFrom($tempo), $rungs - 1);
    }

    /**
     * Seconds of bars with their count-in, rounded up.
     *
     * @param  array{int, int}  $bars
     */
    public static function seconds(Piece $piece, array $bars, int $tempo): int
    {
        $played = Playback::range($piece, ...$bars);
        $counted = $played->countBeats->times(Fraction::of(max(0, count($played->countIn->counts) - 1)))->plus($played->countGap);

        return $counted->plus($played->beats)->times(Fraction::of(60, max(1, $tempo)))->ceil();
    }

    /**
     * The same with the time to get ready again.
     *
     * @param  array{int, int}  $bars
     */
    public static function turn(Piece $piece, array $bars, int $tempo): int
    {
        return self::seconds($piece, $bars, $tempo) + self::RESET;
    }

    /** @param array{int, int} $bars `bars 3 to 5`, `bar 2`, `the pickup and bar 1` */
    public static function name(Piece $piece, array $bars): string
    {
        [$from, $to] = [$piece->measures[$bars[0]]->number, $piece->measures[$bars[1]]->number];

        return match (true) {
            $from === 0 && $to === 0 => 'the pickup',
            $from === 0 => 'the pickup'.($to === 1 ? ' and bar 1' : " to bar {$to}"),
            $from === $to => "bar {$from}",
            default => "bars {$from} to {$to}",
        };
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Words;

/** What a performance asks of the weeks before it: its pieces whole on every day, and a run as at the concert (trade 11.5). */
final class Concert
{
    private const WEEKS = 2;

    /** Of walking in and bowing, in half minutes. */
    private const BOWS = 2;

    private const LONGEST = 240;

    public const WHOLE = 'Whole, for the concert';

    public const WHOLE_WORDS = 'Play it from beginning to end. Keep going, whatever happens.';

    public const RUN = 'As at the concert';

    /** The first of the days on which its pieces are played every day. */
    public static function from(\DateTimeImmutable $on): \DateTimeImmutable
    {
        return $on->modify('-'.self::WEEKS.' weeks');
    }

    /**
     * @param  list<string>  $titles  of its pieces, in their order
     * @return string in at most 240 letters: many long titles are not said
     */
    public static function runWords(array $titles): string
    {
        $say = static fn (string $pieces): string => "Walk in, bow, play {$pieces}, bow. Keep going, whatever happens.";
        $words = $say(Words::listed($titles));

        return mb_strlen($words) <= self::LONGEST ? $words : $say('all your pieces in their order');
    }

    /**
     * @param  list<int>  $pieces  half minutes of each, once through
     * @return int half minutes
     */
    public static function runTime(array $pieces): int
    {
        return array_sum($pieces) + self::BOWS;
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** A stage that is learnt line by line, as it is heard (trade 11.9). */
final class HeardLines
{
    /**
     * The line that is heard: the furthest that was practised.
     *
     * @param  array<int, bool>  $practised  by line, in order
     * @return ?int null where none was practised, or nothing goes by lines
     */
    public static function heard(array $practised): ?int
    {
        $lines = array_keys(array_filter($practised));

        return $lines === [] ? null : max($lines);
    }

    /**
     * The stage passes with its last line.
     *
     * @param  list<int>  $passed  lines that passed, at any lesson
     * @param  int  $of  lines that the stage has
     */
    public static function havePassed(array $passed, int $of): bool
    {
        return count(array_unique($passed)) >= $of;
    }
}

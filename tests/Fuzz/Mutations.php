<?php

declare(strict_types=1);

namespace Tests\Fuzz;

use Random\Randomizer;

/** Files that are not quite what they were. */
final class Mutations
{
    private const BITS = ['NaN', '-1', '999999999', '0', '1e308', '&#0;', '<note>', '"', '[', '{'];

    private const NUMBERS = ['999999', '-1', '0', '0.5', '1000000', '127', '2147483648', '9999999999999999999', '1e9', ''];

    /** A few bytes changed, left out, doubled or moved. */
    public static function of(string $bytes, Randomizer $chance): string
    {
        for ($change = $chance->getInt(1, 4); $change > 0 && $bytes !== ''; $change--) {
            $at = $chance->getInt(0, strlen($bytes) - 1);
            $length = $chance->getInt(1, 40);
            $bytes = match ($chance->getInt(0, 5)) {
                0 => substr_replace($bytes, chr($chance->getInt(0, 255)), $at, 1),
                1 => substr_replace($bytes, '', $at, $length),
                2 => substr_replace($bytes, substr($bytes, $chance->getInt(0, strlen($bytes) - 1), $length), $at, 0),
                3 => substr($bytes, 0, $at),
                4 => substr_replace($bytes, self::BITS[$chance->getInt(0, count(self::BITS) - 1)], $at, $chance->getInt(0, 3)),
                default => substr_replace($bytes, str_repeat($bytes[$at], $length), $at, 1),
            };
        }

        return $bytes;
    }

    /** A number of it is another one, or an element, a word or a line stands there often. */
    public static function swollen(string $text, Randomizer $chance): string
    {
        $pattern = ['~(?<=>)-?[\d.]+(?=</)~', '~<(note|measure|forward|backup|direction|harmony)\b.*?</\1>~s', '~\S+~', '~^.*$~m'][$chance->getInt(0, 3)];
        if (preg_match_all($pattern, $text, $found, PREG_OFFSET_CAPTURE) < 1) {
            return $text;
        }
        [$what, $at] = $found[0][$chance->getInt(0, count($found[0]) - 1)];
        $with = $pattern[1] === '(' && $pattern[2] === '?' ? self::NUMBERS[$chance->getInt(0, count(self::NUMBERS) - 1)] : str_repeat($what.($pattern === '~^.*$~m' ? "\n" : ($pattern === '~\S+~' ? ' ' : '')), 10 ** $chance->getInt(1, 4));

        return substr(substr_replace($text, $with, $at, strlen($what)), 0, 6_000_000);
    }
}

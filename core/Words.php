<?php

declare(strict_types=1);

namespace Nasturtium\Core;

/** How a list and a number are said in a sentence. */
final readonly class Words
{
    private const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

    /** @param list<string> $words `slurs, dots and dynamics` */
    public static function listed(array $words): string
    {
        $last = array_pop($words);

        return $words === [] ? (string) $last : implode(', ', $words)." and {$last}";
    }

    /** `1 bar`, `12 bars` */
    public static function counted(int $number, string $thing): string
    {
        return "{$number} {$thing}".($number === 1 ? '' : 's');
    }

    /** `once`, `twice`, `three times`. */
    public static function times(int $number): string
    {
        return match ($number) {
            1 => 'once',
            2 => 'twice',
            default => self::number($number).' times',
        };
    }

    /** `three`; from 13 on in figures. */
    public static function number(int $number): string
    {
        return self::NUMBERS[$number] ?? (string) $number;
    }
}

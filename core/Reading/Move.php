<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** How one gets to a note from the last one of the same hand (intervallic reading, trade 3.5). */
final readonly class Move
{
    public const HELD = 'held';

    private const OCTAVE = 7;

    private const WORDS = [1 => 'a second', 2 => 'a third', 3 => 'a fourth', 4 => 'a fifth', 5 => 'a sixth', 6 => 'a seventh', 7 => 'an octave', 8 => 'a ninth', 9 => 'a tenth'];

    /**
     * @param  int|null  $steps  letter names up (positive) or down; null at the hand's first note
     * @param  int  $halfSteps  keys up or down, where the line or space is the same
     */
    public static function of(?int $steps, int $halfSteps = 0): string
    {
        if ($steps === null) {
            return 'start';
        }
        if ($steps === 0) {
            return self::inPlace($halfSteps);
        }
        $direction = $steps > 0 ? 'up' : 'down';

        return match (abs($steps)) {
            1 => "step {$direction}",
            2 => "skip {$direction}",
            default => "leap {$direction} ".self::numbered(abs($steps)),
        };
    }

    /** The same line or space: another accidental is another key. */
    private static function inPlace(int $halfSteps): string
    {
        $direction = $halfSteps > 0 ? 'up' : 'down';

        return match (abs($halfSteps)) {
            0 => 'repeat',
            1 => "half step {$direction}",
            default => "whole step {$direction}",
        };
    }

    /** An 8th is called an octave. */
    private static function numbered(int $steps): string
    {
        if ($steps === self::OCTAVE) {
            return 'octave';
        }
        $number = $steps + 1;
        $ending = match (true) {
            $number % 100 >= 11 && $number % 100 <= 13 => 'th',
            $number % 10 === 1 => 'st',
            $number % 10 === 2 => 'nd',
            $number % 10 === 3 => 'rd',
            default => 'th',
        };

        return $number.$ending;
    }

    /** In a sentence: `a sixth`, `an octave`, `an 11th`. */
    public static function interval(int $steps): string
    {
        $number = self::numbered(abs($steps));

        return self::WORDS[abs($steps)] ?? (preg_match('/^(8|11|18)/', $number) === 1 ? 'an ' : 'a ').$number;
    }
}

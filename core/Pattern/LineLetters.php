<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Line;
use Nasturtium\Core\Score\Piece;

/** Lines compared from the top: A, B, and A′ for a line that is mostly line A (trade 6.2). */
final readonly class LineLetters
{
    /** Identical sounding time that makes a line a variant. */
    private const VARIANT = [60, 100];

    /** Lines that later ones are held against; no page has as many, and the work stays in step with the length. */
    private const COMPARED = 40;

    /** @return list<string> in the order of the lines */
    public static function of(Piece $piece): array
    {
        $letters = [];
        /** @var array<string, array{int, array<string, Fraction>}> $known bars and sounds by letter */
        $known = [];
        /** @var array<string, string> $exact letters by everything that sounds in the line */
        $exact = [];
        $next = 0;
        foreach ($piece->lines() as $line) {
            $sounds = self::sounds($piece, $line);
            $bars = self::bars($piece, $line);
            $whole = $bars.' '.implode(' ', array_keys($sounds));
            $letter = $exact[$whole] ??= self::variant($known, $bars, $sounds) ?? self::name($next++);
            if (count($known) < self::COMPARED) {
                $known[$letter] ??= [$bars, $sounds];
            }
            $letters[] = $letter;
        }

        return $letters;
    }

    /**
     * @param  array<string, array{int, array<string, Fraction>}>  $known
     * @param  array<string, Fraction>  $sounds
     */
    private static function variant(array $known, int $bars, array $sounds): ?string
    {
        $whole = self::total($sounds);
        foreach ($known as $letter => [$otherBars, $other]) {
            $shared = self::total(array_intersect_key($sounds, $other));
            $enough = $shared->times(Fraction::of(self::VARIANT[1]))->compare($whole->times(Fraction::of(self::VARIANT[0]))) >= 0;
            if ($bars === $otherBars && ! str_contains($letter, '′') && ! $whole->isZero() && $enough) {
                do {
                    $letter .= '′';
                } while (isset($known[$letter]));

                return $letter;
            }
        }

        return null;
    }

    /** A pickup is no bar of its line. */
    private static function bars(Piece $piece, Line $line): int
    {
        return $line->to - $line->from + ($piece->measures[$line->from]->pickup ? 0 : 1);
    }

    /** @return array<string, Fraction> the length of each sound by hand, onset from the line's first full bar, duration and pitch */
    private static function sounds(Piece $piece, Line $line): array
    {
        $first = $piece->measures[$line->from];
        $at = $first->pickup ? Fraction::zero()->minus($first->length) : Fraction::zero();
        $sounds = [];
        for ($i = $line->from; $i <= $line->to; $i++) {
            foreach ($piece->measures[$i]->events() as $event) {
                $onset = $at->plus($event->onset);
                foreach ($event->notes as $note) {
                    $held = $note->tieStop ? '~' : '';
                    $sounds["{$event->hand->value} {$onset} {$event->duration->whole} {$note->pitch->name()}{$held}"] = $event->duration->whole;
                }
            }
            $at = $at->plus($piece->measures[$i]->length);
        }

        return $sounds;
    }

    /** @param array<string, Fraction> $sounds */
    private static function total(array $sounds): Fraction
    {
        $total = Fraction::zero();
        foreach ($sounds as $length) {
            $total = $total->plus($length);
        }

        return $total;
    }

    /** A to Z, then AA, AB, … */
    private static function name(int $index): string
    {
        return ($index >= 26 ? self::name(intdiv($index, 26) - 1) : '').chr(65 + $index % 26);
    }
}

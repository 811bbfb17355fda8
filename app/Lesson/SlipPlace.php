<?php

declare(strict_types=1);

namespace App\Lesson;

use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\BarRange;
use Nasturtium\Core\Score\Piece;

/** Where a slip was, in words: `bar 4`, `bars 4–5`, `bar 4, beat 3 to bar 5, beat 1`. */
final class SlipPlace
{
    /**
     * @param  int  $first  index of a measure
     * @param  ?int  $fromBeat  1 is the first; null for whole bars
     *
     * @throws ValidationException when the piece has no such place
     */
    public static function of(?Piece $score, int $first, int $last, ?int $fromBeat, ?int $toBeat): string
    {
        [$from, $to] = [$score->measures[$first] ?? null, $score->measures[$last] ?? null];
        if ($score === null || $from === null || $to === null) {
            throw ValidationException::withMessages(['measure' => 'The piece of this task has no such bar.']);
        }
        if ($fromBeat === null || $toBeat === null) {
            return (new BarRange($from->number, $to->number))->words();
        }
        try {
            (new Chunks($score))->between($first, $fromBeat - 1, $last, $toBeat - 1);
        } catch (Refusal $reason) {
            throw ValidationException::withMessages(['fromBeat' => ucfirst($reason->getMessage()).'.']);
        }
        $end = $first === $last ? "beat {$toBeat}" : "bar {$to->number}, beat {$toBeat}";

        return "bar {$from->number}, beat {$fromBeat}".($first === $last && $fromBeat === $toBeat ? '' : " to {$end}");
    }
}

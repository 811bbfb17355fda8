<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Piece;

/** The measures as they are played, repeats and endings followed (handbook 2). */
final readonly class PlayOrder
{
    private const LONGEST = 100_000;

    /**
     * @return list<int> indices of measures
     *
     * @throws InvalidScore when the repeats make it longer than anyone plays
     */
    public static function of(Piece $piece): array
    {
        $measures = $piece->measures;
        $order = [];
        $start = 0;
        $pass = 1;
        for ($i = 0; $i < count($measures); $i++) {
            $measure = $measures[$i];
            if ($measure->repeatStart && $i !== $start) {
                [$start, $pass] = [$i, 1];
            }
            if ($measure->endings === [] || in_array($pass, $measure->endings, true)) {
                $order[] = $i;
                if ($measure->repeatEnd && $pass < self::passes($piece, $i)) {
                    $pass++;
                    $i = $start - 1;

                    continue;
                }
                $endingOver = $measure->endings !== [] && ($measures[$i + 1] ?? null)?->endings !== $measure->endings;
                if ($measure->repeatEnd || $endingOver) {
                    [$start, $pass] = [$i + 1, 1];
                }
            }
            if (count($order) > self::LONGEST) {
                throw new InvalidScore('the repeats make the piece longer than '.self::LONGEST.' bars');
            }
        }

        return $order;
    }

    /** Beats of the given measures, each in its own time signature. */
    public static function beats(Piece $piece, int ...$indices): Fraction
    {
        $beats = Fraction::zero();
        foreach ($indices as $index) {
            $measure = $piece->measures[$index];
            $beats = $beats->plus($measure->meter->beats($measure->length));
        }

        return $beats;
    }

    /** How often a repeat that ends here is played: twice, or once for each ending. */
    private static function passes(Piece $piece, int $at): int
    {
        if ($piece->measures[$at]->endings === []) {
            return 2;
        }
        $most = 1;
        for ($i = $at; ($piece->measures[$i]->endings ?? []) !== []; $i++) {
            $most = max($most, ...$piece->measures[$i]->endings);
            if ($i + 1 >= count($piece->measures)) {
                break;
            }
        }

        return $most;
    }
}

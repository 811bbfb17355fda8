<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;

/** Groups of at least two equal bars, by measure number (trade 6.1). */
final readonly class EqualBars
{
    /** @return list<non-empty-list<int>> identical in both hands */
    public static function both(Piece $piece): array
    {
        return self::groups($piece, Bars::both(...));
    }

    /** @return array{same: list<list<int>>, rhythm: list<list<int>>, shape: list<list<int>>} */
    public static function of(Piece $piece, Hand $hand): array
    {
        return [
            'same' => self::groups($piece, static fn (Measure $measure): string => Bars::same($measure, $hand)),
            'rhythm' => self::groups($piece, static fn (Measure $measure): string => Bars::rhythm($measure, $hand)),
            'shape' => self::groups($piece, static fn (Measure $measure): string => Bars::shape($measure, $hand)),
        ];
    }

    /**
     * @param  \Closure(Measure): string  $key
     * @return list<non-empty-list<int>> in the order of the page
     */
    private static function groups(Piece $piece, \Closure $key): array
    {
        $groups = [];
        foreach ($piece->measures as $measure) {
            $text = $key($measure);
            if ($text !== '') {
                $groups[$text][] = $measure->number;
            }
        }

        return array_values(array_filter($groups, static fn (array $group): bool => count($group) > 1));
    }
}

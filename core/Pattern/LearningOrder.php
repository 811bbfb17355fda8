<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/** What there is to learn on a page, and in which order: what unlocks most first, then what sticks most, then as it is printed. */
final readonly class LearningOrder
{
    /**
     * @param  int  $bars  in which something sounds; a pickup is none
     * @param  list<Learn>  $order  one for each bar that is different
     * @param  array{R: int, L: int}  $hands  different bars of each hand
     */
    private function __construct(public int $bars, public array $order, public array $hands, private bool $hasPickup) {}

    /** @param list<StickingPoint> $points */
    public static function of(Piece $piece, array $points): self
    {
        $scores = [];
        foreach ($points as $point) {
            $scores[$piece->measures[$point->index]->number] = $point->score;
        }
        $groups = [];
        $hands = ['R' => [], 'L' => []];
        $bars = 0;
        foreach ($piece->measures as $measure) {
            $both = Bars::both($measure);
            if ($both === '') {
                continue;
            }
            $bars += $measure->pickup ? 0 : 1;
            $groups[$both][] = $measure->number;
            foreach (Hand::cases() as $hand) {
                $hands[$hand->value][Bars::same($measure, $hand)] = true;
            }
        }
        $order = array_map(static fn (array $same): Learn => new Learn($same[0], $same, max(array_map(static fn (int $bar): int => $scores[$bar] ?? 0, $same))), array_values($groups));
        usort($order, static fn (Learn $a, Learn $b): int => [count($b->serves), $b->score, $a->measure] <=> [count($a->serves), $a->score, $b->measure]);
        unset($hands['R'][''], $hands['L']['']);

        $pickup = $piece->pickup();

        return new self($bars, $order, ['R' => count($hands['R']), 'L' => count($hands['L'])], $pickup !== null && Bars::both($pickup) !== '');
    }

    /** `This page is 16 bars; you learn 7.`; a pickup is told, and is no bar. */
    public function text(): string
    {
        $learn = count($this->order) - ($this->hasPickup ? 1 : 0);
        $bars = $this->bars.($this->bars === 1 ? ' bar' : ' bars');
        $page = 'This page is '.($this->hasPickup ? "{$bars} and a pickup" : $bars);

        return match (true) {
            $this->bars === 0 && ! $this->hasPickup => 'Nothing sounds on this page.',
            $learn < $this->bars => "{$page}; you learn {$learn}.",
            $this->bars === 1 => "{$page}.",
            default => "{$page}, all different.",
        };
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Fingering\Standard\StandardFingers;
use Nasturtium\Core\Fingering\Standard\Standards;
use Nasturtium\Core\Score\Check;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Piece;

/**
 * The fingers of a whole hand part at least cost (trade 4.2), where a standard pattern has a say (trade 4.7). Linear in
 * the length of the part: each strike has at most five grips.
 */
final class FingerSearch
{
    /** Thumb keys of the named positions, by hand: C4 and G4; C4, G3, D4 and D3. */
    private const NAMED = ['R' => [28, 32], 'L' => [28, 25, 29, 22]];

    /** @var list<Strike> */
    private array $strikes = [];

    /** @var list<non-empty-list<Grip>> */
    private array $choices = [];

    /** @var array<int, StandardFingers> */
    private array $standards = [];

    /** @var array<int, true> strikes whose set fingers no hand can do */
    private array $impossible = [];

    private readonly Moves $moves;

    private readonly Grips $grips;

    private function __construct(private readonly Piece $piece, private readonly Hand $hand, private readonly OwnFingers $own, HandSize $size)
    {
        $this->moves = new Moves($size->reach, $size->letters);
        $this->grips = new Grips($size->reach);
    }

    public static function for(Piece $piece, Hand $hand, ?OwnFingers $own = null, ?HandSize $size = null): HandFingers
    {
        return (new self($piece, $hand, $own ?? OwnFingers::none(), $size ?? HandSize::usual()))->search();
    }

    private function search(): HandFingers
    {
        $this->strikes = Strikes::of($this->piece, $this->hand, $this->own);
        $this->standards = Standards::of($this->strikes, $this->hand, $this->piece);
        $this->choices();
        [$chosen, $others] = $this->cheapest();
        $placed = Frames::of($this->strikes, $chosen, $this->hand, $this->moves, $this->standards);
        $said = new SaidFingers($this->piece, $this->hand, $this->own);
        foreach ($this->strikes as $i => $strike) {
            $said->add($strike, $chosen[$i], $others[$i], $this->standards[$i] ?? null);
        }

        return $said->all($placed, [...$this->impossible($chosen), ...FingerFights::of($this->piece, $this->hand, $placed)]);
    }

    private function choices(): void
    {
        $kept = [];
        foreach ($this->strikes as $i => $strike) {
            $word = $strike->word;
            $grips = $kept[$word] ??= $this->grips->obeying($strike);
            if ($grips === null) {
                $this->impossible[$i] = true;
                $grips = $this->grips->any($strike);
            }
            $this->choices[] = $grips;
        }
    }

    /** @return array{list<Grip>, list<Grip>} the cheapest way, and another that is as cheap, or the same */
    private function cheapest(): array
    {
        $costs = [];
        $first = [];
        $last = [];
        $word = '';
        foreach ($this->choices as $i => $grips) {
            $before = $word;
            $word = $this->strikes[$i]->word;
            $standard = $this->standards[$i] ?? null;
            $rows = $i === 0 ? [] : $this->moves->all($this->choices[$i - 1], $grips, $this->strikes[$i], "{$before}|{$word}");
            $now = [];
            foreach ($grips as $g => $grip) {
                $own = $grip->cost + ($standard?->cost($grip->fingers[0]) ?? 0);
                if ($i === 0) {
                    $now[] = $own + $this->start($grip);

                    continue;
                }
                $best = PHP_INT_MAX;
                foreach ($rows[$g] ?? [] as $p => $move) {
                    $cost = ($costs[$p] ?? 0) + $move;
                    if ($cost < $best) {
                        $best = $cost;
                        $first[$i][$g] = $last[$i][$g] = $p;
                    } elseif ($cost === $best) {
                        $last[$i][$g] = $p;
                    }
                }
                $now[] = $best + $own;
            }
            $costs = $now;
        }
        $ends = $costs === [] ? [0] : array_keys($costs, min($costs), true);

        return [$this->way($first, $ends[0] ?? 0), $this->way($last, $ends[count($ends) - 1] ?? 0)];
    }

    private function start(Grip $grip): int
    {
        return in_array($this->hand->direction() * $grip->thumb, self::NAMED[$this->hand->value], true) ? 0 : 1;
    }

    /**
     * @param  array<int, array<int, int>>  $from  the grip before, by strike and grip
     * @return list<Grip>
     */
    private function way(array $from, int $at): array
    {
        $way = [];
        for ($i = count($this->choices) - 1; $i >= 0; $i--) {
            $way[] = $this->choices[$i][$at] ?? $this->choices[$i][0];
            $at = $from[$i][$at] ?? 0;
        }

        return array_reverse($way);
    }

    /**
     * @param  list<Grip>  $chosen
     * @return list<Check>
     */
    private function impossible(array $chosen): array
    {
        $checks = [];
        foreach (array_keys($this->impossible) as $i) {
            $strike = $this->strikes[$i];
            $event = $strike->events[0];
            $place = $this->piece->place($event);
            $set = implode(' ', self::upwards(array_filter($strike->set, is_int(...)), $this->hand));
            $whose = array_filter($this->own->at($this->piece, $event), is_int(...)) === [] ? 'the printed' : 'your';
            $better = implode(' ', self::upwards($chosen[$i]->fingers, $this->hand));
            $checks[] = new Check(
                'finger_impossible',
                $place,
                $this->hand,
                ucfirst($this->hand->word())." at {$place}: no hand position allows {$whose} finger {$set} here".($better === '' ? '' : "; {$better} would lie there").'. Look at the page again.',
                [$event->id],
            );
        }

        return $checks;
    }

    /**
     * @param  array<int>  $fingers  outwards from the thumb
     * @return list<int> lowest key first
     */
    private static function upwards(array $fingers, Hand $hand): array
    {
        return array_values($hand === Hand::Right ? $fingers : array_reverse($fingers));
    }
}

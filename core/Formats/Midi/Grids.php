<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Midi;

use Nasturtium\Core\Formats\Grid;
use Nasturtium\Core\Score\Fraction;

/** Which grid the notes of each bar are laid on: one for all that was chosen, or that of the piece and, where a bar does not stand on it, its own; triplets and eighths may stand in one bar, beat by beat. */
final class Grids
{
    private const FROM_COARSE = [Grid::Quarters, Grid::Eighths, Grid::Triplets, Grid::Sixteenths];

    private readonly Grid $usual;

    /** @var array<int, array<int, Grid>> by bar and beat; -1 for the whole bar */
    private array $own = [];

    /** @param Grid|null $chosen null for what fits, bar by bar */
    public function __construct(MidiFile $file, private readonly BarLines $bars, ?Grid $chosen)
    {
        $this->usual = $chosen ?? self::usualOf($file);
        if ($chosen !== null) {
            return;
        }
        $within = [];
        foreach ($file->notes as $note) {
            [$bar, $at] = $bars->place($bars->inBars(Fraction::of($note->from, 4 * $file->ticks)));
            $within[$bar][] = $at;
        }
        foreach ($within as $bar => $moments) {
            if (self::misses($this->usual, $moments) > 0) {
                $this->own[$bar] = $this->fitting($bar, $moments);
            }
        }
    }

    /**
     * The moment on the grid that is nearest.
     *
     * @param  Fraction  $moment  from the start of the first bar, in whole notes
     */
    public function laid(Fraction $moment): Fraction
    {
        [, $within] = $this->bars->place($moment);
        $grid = $this->at($moment);

        return $moment->minus($within)->plus($grid->step()->times(Fraction::of($grid->nearest($within))));
    }

    public function at(Fraction $moment): Grid
    {
        [$bar, $within] = $this->bars->place($moment);
        $own = $this->own[$bar] ?? [];

        return $own[self::beat($within)] ?? $own[-1] ?? $this->usual;
    }

    public function missed(Fraction $moment): bool
    {
        return $this->at($moment)->misses($this->bars->place($moment)[1]);
    }

    /**
     * @param  list<Fraction>  $moments  of a bar
     * @return array<int, Grid>
     */
    private function fitting(int $bar, array $moments): array
    {
        $whole = self::best($moments);
        if (self::misses($whole, $moments) === 0) {
            return [-1 => $whole];
        }
        $beats = [];
        foreach ($moments as $moment) {
            $beats[self::beat($moment)][] = $moment;
        }

        return [-1 => $whole] + array_map(self::best(...), $beats);
    }

    /** @param list<Fraction> $moments */
    private static function best(array $moments): Grid
    {
        $best = Grid::Quarters;
        foreach (self::FROM_COARSE as $grid) {
            $best = self::misses($grid, $moments) < self::misses($best, $moments) ? $grid : $best;
        }

        return $best;
    }

    /** @param list<Fraction> $moments */
    private static function misses(Grid $grid, array $moments): int
    {
        return count(array_filter($moments, $grid->misses(...)));
    }

    private static function beat(Fraction $within): int
    {
        return $within->times(Fraction::of(4))->floor();
    }

    /** The grid that the fewest notes are off, and of such the one with the longest steps. */
    public static function usualOf(MidiFile $file): Grid
    {
        $off = static fn (Grid $grid): int => count(array_filter(
            $file->notes,
            static fn (MidiNote $note): bool => $grid->misses(Fraction::of($note->from, 4 * $file->ticks)),
        ));
        $best = Grid::Quarters;
        foreach ([Grid::Eighths, Grid::Triplets, Grid::Sixteenths] as $grid) {
            $best = $off($grid) < $off($best) ? $grid : $best;
        }

        return $best;
    }
}

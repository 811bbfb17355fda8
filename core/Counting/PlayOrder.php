<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Limits;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Navigation;
use Nasturtium\Core\Score\Piece;

/** The measures as they are played: repeats, endings and jumps followed (trade 2.5). */
final class PlayOrder
{
    /** @var list<int> */
    private array $order = [];

    /** Where the repeat that is open begins, and which time it is played. */
    private int $start = 0;

    private int $pass = 1;

    /** The jump that was taken last; after one, repeats are played once, with their last ending. */
    private ?Navigation $jump = null;

    /** @var array<string, true> the ways that were taken, each once, by measure and sign */
    private array $taken = [];

    private function __construct(private readonly Piece $piece) {}

    /**
     * @return list<int> indices of measures
     *
     * @throws InvalidScore when the repeats make it longer than anyone plays
     */
    public static function of(Piece $piece): array
    {
        $order = new self($piece);
        for ($at = 0; $at !== null; $at = $order->after($at)) {
            if (count($order->order) > Limits::PLAYED_MEASURES) {
                throw InvalidScore::playedTooLong();
            }
        }

        return $order->order;
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

    /** The same in the beat that the piece begins with and its tempo counts, whatever the bars are in. */
    public static function tempoBeats(Piece $piece, int ...$indices): Fraction
    {
        $whole = Fraction::zero();
        foreach ($indices as $index) {
            $whole = $whole->plus($piece->measures[$index]->length);
        }

        return $piece->meter()->beats($whole);
    }

    /** Plays the measure unless it belongs to another ending, and says which one comes after it. */
    private function after(int $at): ?int
    {
        $measure = $this->piece->measures[$at] ?? null;
        if ($measure === null) {
            return null;
        }
        if ($measure->repeatStart && $at !== $this->start) {
            [$this->start, $this->pass] = [$at, 1];
        }
        if ($measure->endings !== [] && ! in_array($this->jump === null ? $this->pass : $this->passes($at), $measure->endings, true)) {
            return $at + 1;
        }
        $this->order[] = $at;
        if ($this->jump === null && $measure->repeatEnd && $this->pass < $this->passes($at)) {
            $this->pass++;

            return $this->start;
        }
        $next = $this->leaving($measure);
        if ($next === false) {
            return null;
        }
        if ($next !== null) {
            return $next;
        }
        $endingOver = $measure->endings !== [] && ($this->piece->measures[$at + 1] ?? null)?->endings !== $measure->endings;
        if ($measure->repeatEnd || $endingOver) {
            [$this->start, $this->pass] = [$at + 1, 1];
        }

        return $at + 1;
    }

    /** @return int|false|null where the player is sent from the end of this measure; false to stop, null to go on */
    private function leaving(Measure $measure): int|false|null
    {
        if ($this->jump?->endsAtFine() === true && $measure->has(Navigation::Fine)) {
            return false;
        }
        foreach ($measure->navigation as $sign) {
            $name = "{$measure->index} {$sign->value}";
            $to = match (true) {
                $sign->isDaCapo() => 0,
                $sign->isDalSegno() => $this->find(Navigation::Segno),
                $sign === Navigation::ToCoda && $this->jump?->leavesForCoda() === true => $this->find(Navigation::Coda),
                default => null,
            };
            if ($to !== null && ! isset($this->taken[$name])) {
                $this->taken[$name] = true;
                $this->jump = $sign->isJump() ? $sign : $this->jump;
                [$this->start, $this->pass] = [$to, 1];

                return $to;
            }
        }

        return null;
    }

    private function find(Navigation $sign): ?int
    {
        foreach ($this->piece->measures as $i => $measure) {
            if ($measure->has($sign)) {
                return $i;
            }
        }

        return null;
    }

    /** How often the repeat is played that this measure ends, or has an ending of: as often as it says, or once for each ending. */
    private function passes(int $at): int
    {
        $measures = $this->piece->measures;
        $most = $measures[$at]->endings === [] ? $measures[$at]->times : 1;
        for ($i = $at; isset($measures[$i]) && $measures[$i]->endings !== []; $i++) {
            $most = max($most, ...$measures[$i]->endings);
        }

        return $most;
    }
}

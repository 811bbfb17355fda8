<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

use Nasturtium\Core\Fingering\Keys\Strike;
use Nasturtium\Core\Fingering\Standard\StandardFingers;
use Nasturtium\Core\Score\Hand;

/**
 * Where the hand lies, stretch by stretch: as long as every finger keeps its key and the keys their order it has not moved,
 * however wide it lies (trade 4.2).
 */
final class Frames
{
    /** Letters of an octave: no hand of a beginner lies wider. */
    private const WIDEST = 7;

    /** Notes beyond the thumb that make no position of their own. */
    private const TURN = 2;

    /** @var non-empty-array<int, array{int, int}>|array{} key and letter by finger */
    private array $under = [];

    /** @var list<int> strikes of the stretch */
    private array $stretch = [];

    private HandMove $came = HandMove::Start;

    /** @var list<Placed> */
    private array $placed = [];

    /**
     * @param  list<Strike>  $strikes
     * @param  list<Grip>  $grips  one for each
     */
    private function __construct(private readonly array $strikes, private readonly array $grips, private readonly Hand $hand) {}

    /**
     * @param  list<Strike>  $strikes
     * @param  list<Grip>  $grips
     * @param  array<int, StandardFingers>  $standards  by strike
     * @return list<Placed>
     */
    public static function of(array $strikes, array $grips, Hand $hand, Moves $moves, array $standards): array
    {
        $frames = new self($strikes, $grips, $hand);
        foreach ($grips as $i => $grip) {
            $isInPattern = isset($standards[$i - 1], $standards[$i]) && $standards[$i - 1]->name === $standards[$i]->name;
            $move = match (true) {
                $i === 0 => HandMove::Start,
                $isInPattern && $grip->crosses($grips[$i - 1]) => $grip->fingers[0] === 1 ? HandMove::ThumbUnder : HandMove::FingerOver,
                default => $moves->kind($grips[$i - 1], $grip, $strikes[$i]),
            };
            if ($i > 0 && ($move !== HandMove::Stay || ! $frames->holds($grip))) {
                $frames->close();
                $frames->came = $move === HandMove::Stay ? HandMove::Shift : $move;
            }
            $frames->add($i, $grip);
        }
        $frames->close();

        return self::turns($frames->placed);
    }

    /**
     * A finger that goes over the thumb for a note or two, and the thumb back under it: the hand has lain still.
     *
     * @param  list<Placed>  $placed
     * @return list<Placed>
     */
    private static function turns(array $placed): array
    {
        $count = count($placed);
        for ($first = 1; $first < $count; $first++) {
            if (! $placed[$first]->move->isCrossing()) {
                continue;
            }
            $last = $first;
            while ($last + 1 < $count && $placed[$last + 1]->frame === $placed[$first]->frame) {
                $last++;
            }
            $around = $placed[$first - 1]->frame;
            $back = $placed[$last + 1] ?? null;
            if ($back === null || ! $back->move->isCrossing() || ! $back->frame->hasSameThumb($around) || $last - $first >= self::TURN) {
                continue;
            }
            $after = $back->frame;
            for ($i = $first; $i < $count && ($i <= $last || $placed[$i]->frame === $after); $i++) {
                $placed[$i] = new Placed($placed[$i]->event, $around, $placed[$i]->move, $placed[$i]->letters);
            }
        }

        return array_values($placed);
    }

    private function holds(Grip $grip): bool
    {
        $least = $most = $grip->letters[0];
        foreach ($this->under as [, $letter]) {
            [$least, $most] = [min($least, $letter), max($most, $letter)];
        }
        if (max($most, max($grip->letters)) - min($least, min($grip->letters)) > self::WIDEST) {
            return false;
        }
        foreach ($grip->fingers as $i => $finger) {
            $key = $grip->keys[$i] ?? 0;
            foreach ($this->under as $other => [$was]) {
                // A finger may have a key and its neighbour by a half step: F and, later, F sharp.
                if ($other === $finger ? abs($key - $was) > 1 : ($key > $was) !== ($finger > $other) || $key === $was) {
                    return false;
                }
            }
        }

        return true;
    }

    private function add(int $i, Grip $grip): void
    {
        $this->stretch[] = $i;
        foreach ($grip->fingers as $j => $finger) {
            $this->under[$finger] ??= [$grip->keys[$j] ?? 0, $grip->letters[$j] ?? 0];
        }
    }

    private function close(): void
    {
        if ($this->under === []) {
            return;
        }
        $frame = Frame::of($this->under, $this->hand);
        $before = $this->placed === [] ? null : $this->placed[count($this->placed) - 1]->frame;
        $move = $this->came;
        if ($before !== null && $move === HandMove::Shift && $before->hasSameThumb($frame)) {
            $move = HandMove::Stay;
            $frame = $before->isOpen() === $frame->isOpen() ? $before : $frame;
        }
        foreach ($this->stretch as $n => $i) {
            $keys = $this->grips[$i]->letters;
            $this->placed[] = new Placed($this->strikes[$i]->events[0], $frame, $n === 0 ? $move : HandMove::Stay, max($keys) - min($keys) + 1);
        }
        $this->under = [];
        $this->stretch = [];
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

use Nasturtium\Core\Score\Piece;

/**
 * Bars that are played: half a line, the line, over the line end, all of it slowly, then at its tempo; my turn, your turn
 * (trade 19.2). What does not fit into the time is left out, the least first.
 */
final class LeadPlaying
{
    /** Rungs below the tempo of the task. */
    private const SLOWER = 2;

    /** All of it at its tempo, at most. */
    private const MOST_TIMES = 4;

    /** What is kept longest comes first. */
    private const WHOLE = 0;

    private const LINE = 1;

    private const LINE_END = 2;

    private const SLOWLY = 3;

    private const HALF = 4;

    private const MODEL = 5;

    private const FIRST = 6;

    /** @var list<array{int, list<LeadStep>}> in their order: how much it matters, and its steps */
    private array $parts = [];

    private readonly int $tempo;

    private readonly int $slow;

    private readonly Piece $piece;

    /** @param array{int, int} $bars */
    private function __construct(private readonly LeadTask $task, private readonly array $bars)
    {
        $this->piece = $task->piece ?? throw new \LogicException('a task that is played has a piece');
        $this->tempo = Phrase::tempo($task);
        $this->slow = Phrase::slower($this->tempo, self::SLOWER);
    }

    /**
     * @param  array{int, int}  $bars  indices of the first and last measure
     * @param  int  $seconds  that there are
     * @return list<LeadStep> all of it at its tempo at least
     */
    public static function of(LeadTask $task, array $bars, int $seconds, bool $triesFirst): array
    {
        $run = new self($task, $bars);
        $run->lay($triesFirst);

        return $run->within($seconds);
    }

    private function lay(bool $triesFirst): void
    {
        $phrases = Phrases::of($this->piece, $this->bars, $this->task->hand);
        if ($triesFirst) {
            $this->parts[] = [self::FIRST, [$this->turn("Try it first: {$this->name($this->bars)}. Then we compare.", $this->bars, $this->slow, false)]];
        }
        foreach ($phrases->lines as $i => $line) {
            $same = $phrases->sameAs($i);
            $end = $phrases->lineEnd($i);
            if ($end !== null) {
                $this->parts[] = [self::LINE_END, $this->both('Over the line end', $end)];
            }
            if ($same !== null) {
                $this->parts[] = [self::LINE, [$this->turn("Line {$phrases->numbers[$i]} is line {$phrases->numbers[$same]} again. Your turn.", $line, $this->slow)]];

                continue;
            }
            foreach ($phrases->halves($line) as $half) {
                $this->parts[] = [self::HALF, $this->both('', $half)];
            }
            if ($line !== $this->bars) {
                $this->parts[] = [self::LINE, $this->both('', $line)];
            }
        }
        // Of more than a line all of it was played in its lines.
        $this->parts[] = [count($phrases->lines) > 1 ? self::MODEL : self::LINE, [$this->model('My turn: all of it', $this->bars)]];
        $this->parts[] = [self::SLOWLY, [$this->turn('Your turn, slowly: all of it.', $this->bars, $this->slow)]];
        for ($time = 1; $time <= self::MOST_TIMES; $time++) {
            $words = match ($time) {
                1 => "Now a little quicker, all of it: ♩ = {$this->tempo}.",
                default => 'Once more, all of it.',
            };
            $this->parts[] = [$time === 1 ? self::WHOLE : self::FIRST + $time, [$this->turn($words, $this->bars, $this->tempo)]];
        }
    }

    /**
     * @param  array{int, int}  $bars
     * @return list<LeadStep>
     */
    private function both(string $what, array $bars): array
    {
        $name = $this->name($bars);

        return [
            $this->model($what === '' ? "My turn: {$name}" : "{$what}: {$name}. My turn", $bars),
            $this->turn($what === '' ? "Your turn: {$name}." : 'Your turn. Look ahead.', $bars, $this->slow),
        ];
    }

    /** @param array{int, int} $bars */
    private function model(string $words, array $bars): LeadStep
    {
        return new LeadStep(StepKind::Play, $this->task->id, "{$words}.", Phrase::seconds($this->piece, $bars, $this->slow), $bars, $this->task->hand, $this->slow);
    }

    /** @param array{int, int} $bars */
    private function turn(string $words, array $bars, int $tempo, bool $hasAgain = true): LeadStep
    {
        return new LeadStep(StepKind::Turn, $this->task->id, $words, Phrase::turn($this->piece, $bars, $tempo), $bars, $this->task->hand, $tempo, $hasAgain ? $this->again($bars, $tempo) : []);
    }

    /**
     * Smaller and slower, then the same bars again at the slower tempo.
     *
     * @param  array{int, int}  $bars
     * @return list<LeadStep>
     */
    private function again(array $bars, int $tempo): array
    {
        $slower = Phrase::slower($tempo, 1);
        $smaller = Phrases::smaller($this->piece, $bars, $this->task->hand);
        $name = $this->name($smaller);
        $steps = [
            new LeadStep(StepKind::Play, $this->task->id, "Slower, a smaller part: {$name}. My turn.", Phrase::seconds($this->piece, $smaller, $slower), $smaller, $this->task->hand, $slower),
            new LeadStep(StepKind::Turn, $this->task->id, "Your turn: {$name}.", Phrase::turn($this->piece, $smaller, $slower), $smaller, $this->task->hand, $slower),
        ];

        return $smaller === $bars ? $steps : [
            ...$steps,
            new LeadStep(StepKind::Turn, $this->task->id, "And again: {$this->name($bars)}.", Phrase::turn($this->piece, $bars, $slower), $bars, $this->task->hand, $slower),
        ];
    }

    /** @param array{int, int} $bars */
    private function name(array $bars): string
    {
        return Phrase::name($this->piece, $bars);
    }

    /** @return list<LeadStep> what matters most first, as long as there is time; in the order of the run */
    private function within(int $seconds): array
    {
        $order = array_keys($this->parts);
        usort($order, fn (int $a, int $b): int => [$this->parts[$a][0], $a] <=> [$this->parts[$b][0], $b]);
        $kept = [];
        $left = $seconds;
        foreach ($order as $i) {
            $takes = array_sum(array_map(static fn (LeadStep $step): int => $step->seconds, $this->parts[$i][1]));
            if ($takes <= $left || $kept === []) {
                $kept[$i] = true;
                $left -= $takes;
            }
        }

        return array_merge(...array_column(array_intersect_key($this->parts, $kept), 1));
    }
}

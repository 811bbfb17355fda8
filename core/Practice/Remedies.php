<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Score\BarRange;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Piece;

/** The remedies of the slips of a lesson, each on exactly the bars its slip asks for, with the reason (trade 12.2). */
final class Remedies
{
    /** Beats a minute, where neither the task nor the piece has a tempo. */
    private const USUAL_TEMPO = 60;

    /** Before the lesson, in which the same slip counts as coming again. */
    public const WEEKS = 2;

    private const TIMES = [1 => 'at the lesson', 2 => 'twice in two weeks', 3 => 'three times in two weeks'];

    private readonly Chunks $chunks;

    private function __construct(private readonly Piece $piece)
    {
        $this->chunks = new Chunks($piece);
    }

    /**
     * @param  list<HeardSlip>  $heard  at this lesson, in order
     * @param  list<HeardSlip>  $before  in the two weeks before it
     * @return list<Remedy> one for each thing at each place
     */
    public static function of(Piece $piece, array $heard, array $before): array
    {
        $remedies = new self($piece);
        $found = [];
        foreach ($heard as $at => $slip) {
            $same = static fn (HeardSlip $other): bool => $slip->repeats($other);
            if (array_filter(array_slice($heard, 0, $at), $same) === []) {
                $times = count(array_filter($heard, $same)) + count(array_filter($before, $same));
                $found[] = $remedies->remedy($slip, $times);
            }
        }

        return $found;
    }

    private function remedy(HeardSlip $slip, int $times): Remedy
    {
        $chunk = $this->chunkOf($slip);
        $tempo = $slip->kind->tempo($slip->tempo ?? self::USUAL_TEMPO);
        $repetitions = $slip->kind->repetitions();
        $meter = $this->piece->measures[$chunk->first]->meter;
        $counts = count(CountIn::for($meter, Fraction::zero())->counts);

        return new Remedy(
            $slip->kind,
            $chunk->first,
            $chunk->last,
            $chunk->from,
            $chunk->to,
            $slip->hand,
            $tempo,
            $repetitions,
            TaskTimes::of(TaskClass::Remedy, $repetitions, [[$chunk->beats, $counts]], [$tempo])->first,
            "{$slip->kind->words()} {$this->where($slip, $chunk)}, ".(self::TIMES[$times] ?? "{$times} times in two weeks"),
        );
    }

    /** What the teacher has dragged over; else what the remedy is done on: the turn, the bar to the next downbeat, the whole. */
    private function chunkOf(HeardSlip $slip): Chunk
    {
        $kind = $slip->kind->chunk();
        if ($kind === ChunkKind::Whole) {
            return $this->chunks->of(ChunkKind::Whole)[0];
        }
        if ($kind === ChunkKind::LineTurn) {
            $turn = $this->turnAt($slip->first);
            if ($turn !== null) {
                return $this->chunks->over(ChunkKind::LineTurn, ...$turn);
            }
        }
        if ($slip->from !== null && $slip->to !== null) {
            return $this->chunks->between($slip->first, $slip->from, $slip->last, $slip->to);
        }

        return $slip->first === $slip->last ? $this->chunks->barOver($slip->first) : $this->chunks->over(ChunkKind::Own, $slip->first, $slip->last);
    }

    /** @return array{int, int}|null the last two bars of a line through the first of the next, at a bar before or after the turn */
    private function turnAt(int $measure): ?array
    {
        $lines = $this->piece->lines();
        foreach ($lines as $at => $line) {
            if (isset($lines[$at + 1]) && $measure >= $line->from && ($measure <= $line->to || $measure === $lines[$at + 1]->from)) {
                return [max($line->from, $line->to - 1), $lines[$at + 1]->from];
            }
        }

        return null;
    }

    private function where(HeardSlip $slip, Chunk $chunk): string
    {
        if ($chunk->kind === ChunkKind::Whole) {
            return 'in the piece';
        }
        if ($chunk->kind === ChunkKind::LineTurn) {
            foreach ($this->piece->lines() as $at => $line) {
                if ($line->to >= $chunk->first && $line->to < $chunk->last) {
                    return 'of line '.($at + 1);
                }
            }
        }
        [$first, $last] = [$this->piece->measures[$slip->first]->number, $this->piece->measures[$slip->last]->number];
        $hand = $slip->hand === null ? '' : ", {$slip->hand->word()}";

        return 'in '.(new BarRange($first, $last))->words().$hand;
    }
}

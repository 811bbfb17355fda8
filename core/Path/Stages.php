<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Pattern\HandsPlay;
use Nasturtium\Core\Pattern\HandsTogether;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;

/** The stages of a page on a path; those that do not apply drop out (trade 8.2, 9.3). */
final class Stages
{
    private const THREE_IN_A_ROW = 3;

    /** @var array<string, Chunks> by hand; the empty name is both */
    private array $chunks;

    private readonly bool $everTogether;

    private readonly TempoLadder $ladder;

    private function __construct(private readonly Piece $piece, Chunks $chunks)
    {
        $this->chunks = ['' => $chunks];
        $this->ladder = TempoLadder::for($piece);
        $this->everTogether = in_array(HandsPlay::Together, array_map(static fn (HandsTogether $hands): HandsPlay => $hands->play, $chunks->hands()), true);
    }

    /**
     * @param  Chunks|null  $chunks  of both hands, where they are known already
     * @return list<Stage>
     */
    public static function of(Piece $piece, Path $path, ?Chunks $chunks = null): array
    {
        return (new self($piece, $chunks ?? new Chunks($piece)))->on($path);
    }

    /** @return list<Stage> */
    private function on(Path $path): array
    {
        $steps = array_values(array_filter($path->steps, $this->applies(...)));
        $content = new StageContent($this->piece);
        $words = new StageWords($this->piece, $this->everTogether);
        $stages = [];
        foreach ($steps as $i => $step) {
            $chunks = $this->chunks($step);
            $tempo = $this->tempo($step);
            $repetitions = $this->repetitions($step);
            $stages[] = new Stage(
                $step,
                $chunks,
                $repetitions,
                $tempo,
                $this->times($step, $chunks, $repetitions, $tempo),
                self::waitsFor($steps, $i),
                $words->of($step, $tempo),
                $content->of($step, $chunks),
            );
        }

        return $stages;
    }

    private function applies(PathStep $step): bool
    {
        if (! $this->piece->plays(Hand::Right) && ! $this->piece->plays(Hand::Left)) {
            return false;
        }
        $hand = $step->hand;
        if ($hand !== null) {
            return $this->piece->plays($hand);
        }

        return match ($step->kind) {
            StageKind::HandsTogether => $this->everTogether,
            StageKind::HandOver => ! $this->everTogether && $this->chunks['']->of(ChunkKind::HandOver) !== [],
            StageKind::JoinLines => count($this->piece->lines()) > 1,
            StageKind::Articulation => $this->hasLoudness() || $this->any(static fn (Event $event): bool => $event->ink->slurs !== []
                || array_filter($event->ink->marks, static fn (Mark $mark): bool => $mark->isArticulation()) !== []),
            StageKind::Own => $this->chunks($step) !== [],
            StageKind::Words => $this->any(static fn (Event $event): bool => $event->ink->lyrics !== []),
            default => true,
        };
    }

    private function hasLoudness(): bool
    {
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->signs as $sign) {
                if ($sign->kind->isLoudness()) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param \Closure(Event): bool $is */
    private function any(\Closure $is): bool
    {
        foreach ($this->piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                if ($is($event)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Chunk> */
    private function chunks(PathStep $step): array
    {
        $hand = $step->hand;
        $chunks = $this->chunks[$hand->value ?? ''] ??= new Chunks($this->piece, $hand);
        $found = $chunks->of($step->chunks);

        // A line too short to halve is practised whole.
        return $found === [] || ($step->chunks === ChunkKind::HalfLine && $this->hasShortLine())
            ? $chunks->of(ChunkKind::Line)
            : $found;
    }

    private function hasShortLine(): bool
    {
        foreach ($this->piece->lines() as $line) {
            if ($line->to - $line->from < 3) {
                return true;
            }
        }

        return false;
    }

    /** The start of the ladder for all but what is heard or played at the goal. */
    private function tempo(PathStep $step): ?int
    {
        if (in_array($step->effort, [Effort::Glance, Effort::Naming], true)) {
            return null;
        }
        $ladder = $this->ladder;

        return in_array($step->kind, [StageKind::Finish, StageKind::Listen], true) ? $ladder->goal : $ladder->from;
    }

    private function repetitions(PathStep $step): int
    {
        $hands = count(array_filter(Hand::cases(), $this->piece->plays(...)));

        return match ($step->effort) {
            Effort::ThreeInARow => self::THREE_IN_A_ROW,
            Effort::EachHand => $hands === 2 ? 3 : 1,
            default => 1,
        };
    }

    /** @param list<Chunk> $chunks */
    private function times(PathStep $step, array $chunks, int $repetitions, ?int $tempo): TaskTimes
    {
        if ($step->effort === Effort::Glance) {
            return TaskTimes::always(TaskTimes::LEAST);
        }
        if ($step->effort === Effort::Naming || $tempo === null) {
            return TaskTimes::naming(array_sum(array_map(static fn (Measure $measure): int => $measure->heads(), $this->piece->measures)));
        }
        $parts = [];
        foreach ($chunks as $chunk) {
            $first = $this->piece->measures[$chunk->first];
            $countIn = CountIn::for($first->meter, $first->pickup ? $first->length : Fraction::zero());
            $parts[] = [$chunk->beats, count($countIn->counts)];
        }

        return TaskTimes::of($step->kind->taskClass(), $repetitions, $parts, $step->kind->tempi($tempo, $this->ladder));
    }

    /**
     * @param  list<PathStep>  $steps
     * @return list<int>
     */
    private static function waitsFor(array $steps, int $at): array
    {
        $step = $steps[$at] ?? null;
        $previous = $steps[$at - 1] ?? null;
        if ($step === null || $previous === null) {
            return [];
        }
        $before = $at - 1;
        if ($step->kind->opensBesideTheOneBefore() && $before > 0) {
            return self::waitsFor($steps, $before);
        }
        if ($step->kind->opensWithOtherHand()) {
            $rights = array_keys(array_filter(array_slice($steps, 0, $at), static fn (PathStep $earlier): bool => $earlier->hand === Hand::Right));

            return $rights === [] ? [$before] : self::waitsFor($steps, $rights[0]);
        }
        if ($step->hand !== null && $previous->hand !== null) {
            return [$before];
        }
        // What comes after several stages side by side waits for each of them.
        $waits = [$before];
        for ($i = $before; $i > 0 && self::isBeside($steps[$i] ?? null, $steps[$i - 1] ?? null); $i--) {
            $waits[] = $i - 1;
        }

        return array_reverse($waits);
    }

    private static function isBeside(?PathStep $step, ?PathStep $before): bool
    {
        return $step !== null && ($step->kind->opensBesideTheOneBefore() || ($step->hand !== null && $before?->hand !== null));
    }
}

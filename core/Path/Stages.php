<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Pattern\Chunks;
use Nasturtium\Core\Pattern\HandsTogether;
use Nasturtium\Core\Practice\TaskTime;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Piece;

/** The stages of a page on a path; those that do not apply drop out (handbook 8, 9). */
final readonly class Stages
{
    private const THREE_IN_A_ROW = 3;

    /** @return list<Stage> */
    public static function of(Piece $piece, PathKind $path): array
    {
        $kinds = array_values(array_filter($path->stages(), static fn (StageKind $kind): bool => self::applies($piece, $kind)));
        $stages = [];
        foreach ($kinds as $i => $kind) {
            $chunks = self::chunks($piece, $kind);
            $tempo = self::tempo($piece, $kind);
            $repetitions = self::repetitions($piece, $kind);
            $stages[] = new Stage(
                $kind,
                $kind->hand(),
                $chunks,
                $repetitions,
                $tempo,
                self::halfMinutes($piece, $kind, $chunks, $repetitions, $tempo),
                self::waitsFor($kinds, $i),
            );
        }

        return $stages;
    }

    private static function applies(Piece $piece, StageKind $kind): bool
    {
        $hand = $kind->hand();
        if ($hand !== null) {
            return $piece->plays($hand);
        }

        return match ($kind) {
            StageKind::HandsTogether => self::everTogether($piece),
            StageKind::HandOver => ! self::everTogether($piece) && Chunks::of($piece, ChunkKind::HandOver) !== [],
            StageKind::JoinLines => count($piece->lines()) > 1,
            StageKind::Articulation => self::any($piece, static fn (Event $event): bool => $event->dynamic !== null || array_diff(
                array_column($event->marks, 'value'),
                [Mark::Fermata->value],
            ) !== []),
            StageKind::Words => self::any($piece, static fn (Event $event): bool => $event->lyric !== null),
            default => true,
        };
    }

    private static function everTogether(Piece $piece): bool
    {
        foreach ($piece->measures as $measure) {
            if (HandsTogether::in($measure)->play === 'together') {
                return true;
            }
        }

        return false;
    }

    /** @param \Closure(Event): bool $is */
    private static function any(Piece $piece, \Closure $is): bool
    {
        foreach ($piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                if ($is($event)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Chunk> */
    private static function chunks(Piece $piece, StageKind $kind): array
    {
        $chunks = Chunks::of($piece, $kind->chunks(), $kind->hand());

        // A line too short to halve is practised whole.
        return $chunks === [] || $kind->chunks() === ChunkKind::HalfLine && self::leavesOut($piece, $chunks)
            ? Chunks::of($piece, ChunkKind::Line, $kind->hand())
            : $chunks;
    }

    /** @param list<Chunk> $halves */
    private static function leavesOut(Piece $piece, array $halves): bool
    {
        foreach ($piece->lines() as $line) {
            if ($line->to - $line->from < 3) {
                return true;
            }
        }

        return $halves === [];
    }

    /** The start of the ladder for all but the last, which is played at the goal. */
    private static function tempo(Piece $piece, StageKind $kind): ?int
    {
        if (in_array($kind->effort(), [Effort::Glance, Effort::Naming], true)) {
            return null;
        }
        $ladder = TempoLadder::for($piece);

        return $kind === StageKind::Finish || $kind === StageKind::Listen ? $ladder->goal : $ladder->from;
    }

    private static function repetitions(Piece $piece, StageKind $kind): int
    {
        $hands = count(array_filter(Hand::cases(), $piece->plays(...)));

        return match ($kind->effort()) {
            Effort::ThreeInARow => self::THREE_IN_A_ROW,
            Effort::EachHand => $hands === 2 ? 3 : 1,
            default => 1,
        };
    }

    /** @param list<Chunk> $chunks */
    private static function halfMinutes(Piece $piece, StageKind $kind, array $chunks, int $repetitions, ?int $tempo): int
    {
        if ($kind->effort() === Effort::Glance) {
            return TaskTime::LEAST;
        }
        if ($kind->effort() === Effort::Naming || $tempo === null) {
            return TaskTime::naming(self::heads($piece));
        }
        $parts = [];
        foreach ($chunks as $chunk) {
            $first = $piece->measures[$chunk->first];
            $countIn = CountIn::for($first->meter, $first->pickup ? $first->length : Fraction::zero());
            $parts[] = [$chunk->beats, count($countIn->counts)];
        }

        return TaskTime::playing($repetitions, $parts, $tempo);
    }

    private static function heads(Piece $piece): int
    {
        $heads = 0;
        foreach ($piece->measures as $measure) {
            foreach ($measure->events() as $event) {
                $heads += $event->isStruck() ? count($event->notes) : 0;
            }
        }

        return $heads;
    }

    /**
     * @param  list<StageKind>  $kinds
     * @return list<int>
     */
    private static function waitsFor(array $kinds, int $at): array
    {
        $kind = $kinds[$at] ?? null;
        $previous = $kinds[$at - 1] ?? null;
        if ($kind === null || $previous === null) {
            return [];
        }
        $before = $at - 1;
        if ($kind->opensBesideTheOneBefore() && $before > 0) {
            return self::waitsFor($kinds, $before);
        }
        if ($kind->opensWithOtherHand()) {
            $rights = array_keys(array_filter(array_slice($kinds, 0, $at), static fn (StageKind $earlier): bool => $earlier->hand() === Hand::Right));

            return $rights === [] ? [$before] : self::waitsFor($kinds, $rights[0]);
        }
        if ($kind->hand() !== null && $previous->hand() !== null) {
            return [$before];
        }
        // What comes after several stages side by side waits for each of them.
        $waits = [$before];
        for ($i = $before; $i > 0 && self::isBeside($kinds[$i] ?? null, $kinds[$i - 1] ?? null); $i--) {
            $waits[] = $i - 1;
        }

        return array_reverse($waits);
    }

    private static function isBeside(?StageKind $kind, ?StageKind $before): bool
    {
        return $kind !== null && ($kind->opensBesideTheOneBefore() || ($kind->hand() !== null && $before?->hand() !== null));
    }
}

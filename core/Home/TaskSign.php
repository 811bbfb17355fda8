<?php

declare(strict_types=1);

namespace Nasturtium\Core\Home;

use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\TaskKind;

/** What a task asks for, as a picture, for a child that does not read yet. */
enum TaskSign: string
{
    case Look = 'look';
    case Tap = 'tap';
    case Say = 'say';
    case Fingers = 'fingers';
    case Hand = 'hand';
    case Hands = 'hands';
    case Listen = 'listen';
    case Sing = 'sing';
    case Through = 'through';
    case Climb = 'climb';
    case Write = 'write';
    case Again = 'again';
    case WarmUp = 'warm-up';
    case Show = 'show';

    /** @param ?StageKind $stage of a page; null where the task is of none */
    public static function of(TaskKind $kind, ?StageKind $stage): self
    {
        return match (true) {
            $stage !== null && $stage !== StageKind::Own => self::ofStage($stage),
            $kind === TaskKind::WarmUp => self::WarmUp,
            $kind === TaskKind::Theory => self::Write,
            $kind === TaskKind::Review, $kind === TaskKind::Remedy => self::Again,
            $kind === TaskKind::Drill => self::Say,
            $kind === TaskKind::Sight => self::Look,
            default => self::Through,
        };
    }

    /** The bars are played, so that they can be listened to. */
    public function isPlayed(): bool
    {
        return in_array($this, [self::Hand, self::Hands, self::Through, self::Climb, self::Again, self::Show], true);
    }

    private static function ofStage(StageKind $stage): self
    {
        return match ($stage) {
            StageKind::LookOver, StageKind::PointMoves => self::Look,
            StageKind::TapAndCount => self::Tap,
            StageKind::NameNotes, StageKind::FindNotes, StageKind::LetterNames => self::Say,
            StageKind::FingersInAir, StageKind::PositionAndFingers => self::Fingers,
            StageKind::Listen => self::Listen,
            StageKind::SingSolfege, StageKind::Words => self::Sing,
            StageKind::HandsTogether, StageKind::HandOver, StageKind::JoinLines => self::Hands,
            StageKind::TempoLadder => self::Climb,
            StageKind::Finish => self::Show,
            StageKind::WholeSlow, StageKind::Articulation, StageKind::Own => self::Through,
            default => self::Hand,
        };
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

/** The order in which a page is learnt (trade 8.1). */
enum PathKind: string
{
    case BeatFirst = 'beat';
    case NotesFirst = 'notes';
    case SoundFirst = 'sound';

    public function words(): string
    {
        return match ($this) {
            self::BeatFirst => 'Beat first',
            self::NotesFirst => 'Notes first',
            self::SoundFirst => 'Sound first',
        };
    }

    /** @return non-empty-list<StageKind> in order; those that do not apply to a page drop out later */
    public function stages(): array
    {
        return match ($this) {
            self::BeatFirst => [
                StageKind::LookOver, StageKind::TapAndCount, StageKind::NameNotes, StageKind::FingersInAir,
                StageKind::RightHand, StageKind::LeftHand, StageKind::HandsTogether, StageKind::HandOver, StageKind::JoinLines,
                StageKind::WholeSlow, StageKind::Articulation, StageKind::TempoLadder, StageKind::Finish,
            ],
            self::NotesFirst => [
                StageKind::LookOver, StageKind::FindNotes, StageKind::PositionAndFingers,
                StageKind::RightHandUncounted, StageKind::RightHandCounting, StageKind::LeftHandUncounted, StageKind::LeftHandCounting,
                StageKind::HandsTogether, StageKind::HandOver, StageKind::JoinLines,
                StageKind::Articulation, StageKind::TempoLadder, StageKind::Finish,
            ],
            self::SoundFirst => [
                StageKind::Listen, StageKind::PointMoves, StageKind::SingSolfege, StageKind::LetterNames, StageKind::FingersInAir,
                StageKind::Words, StageKind::Echo, StageKind::RightHand, StageKind::LeftHand, StageKind::HandsTogether,
                StageKind::HandOver, StageKind::JoinLines, StageKind::TempoLadder, StageKind::Finish,
            ],
        };
    }
}

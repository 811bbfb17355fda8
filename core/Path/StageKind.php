<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Practice\TaskClass;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\Hand;

/** A stage of a page: what is done with it, one thing at a time (trade 8.1, 8.2). */
enum StageKind: string
{
    case LookOver = 'look over';
    case TapAndCount = 'tap and count';
    case NameNotes = 'name the notes';
    case FingersInAir = 'fingers in the air';
    case RightHand = 'right hand';
    case LeftHand = 'left hand';
    case HandsTogether = 'hands together';
    case HandOver = 'hand over';
    case JoinLines = 'join lines';
    case WholeSlow = 'whole, slow';
    case Articulation = 'articulation, dynamics';
    case TempoLadder = 'tempo ladder';
    case Finish = 'finish';
    case FindNotes = 'find and name notes';
    case PositionAndFingers = 'position and fingers';
    case RightHandUncounted = 'right hand, no counting';
    case RightHandCounting = 'right hand, counting';
    case LeftHandUncounted = 'left hand, no counting';
    case LeftHandCounting = 'left hand, counting';
    case Listen = 'listen';
    case PointMoves = 'start, step, skip, repeat';
    case SingSolfege = 'sing in solfège';
    case LetterNames = 'letter names';
    case Words = 'words';
    case Echo = 'echo at the piano';
    /** One that a teacher has made; what it is stands on its path. */
    case Own = 'own';

    private const NAMED = 'every note within 3 seconds';

    private const TAPPED = 'once through without losing the beat';

    /** @return array{string, string, Petal|null, Effort, ChunkKind} what the student does, the pass mark, petal, effort, chunks */
    private function row(): array
    {
        return match ($this) {
            self::LookOver => ['Look the page over: clefs, time, where the hands lie, what is new.', 'everything on the page found and said', null, Effort::Glance, ChunkKind::Whole],
            self::TapAndCount => ['Tap each hand on the closed lid or your lap and count aloud, one hand, the other, then both.', self::TAPPED, Petal::Counts, Effort::EachHand, ChunkKind::Whole],
            self::NameNotes => ['Say the name of every note, from the first to the last.', self::NAMED, Petal::Notes, Effort::Naming, ChunkKind::Whole],
            self::FingersInAir => ['Play it in the air and say the finger numbers.', 'every finger right, once through', Petal::Fingers, Effort::Once, ChunkKind::Line],
            self::RightHand => ['Play the right hand alone, counting.', PassMark::ThreeInARow->label(), Petal::HandsApart, Effort::ThreeInARow, ChunkKind::Line],
            self::LeftHand => ['Play the left hand alone, counting.', PassMark::ThreeInARow->label(), Petal::HandsApart, Effort::ThreeInARow, ChunkKind::Line],
            self::HandsTogether => ['Play both hands together, slowly.', PassMark::ThreeInARow->label(), Petal::HandsTogether, Effort::ThreeInARow, ChunkKind::Line],
            self::HandOver => ['Pass the tune from hand to hand with no gap.', PassMark::ThreeInARow->label(), Petal::HandsTogether, Effort::ThreeInARow, ChunkKind::HandOver],
            self::JoinLines => ['Play over the end of each line into the next, eyes ahead.', PassMark::ThreeInARow->label(), Petal::HandsTogether, Effort::ThreeInARow, ChunkKind::LineTurn],
            self::WholeSlow => ['Play the whole piece slowly and keep going.', PassMark::Once->label(), null, Effort::Once, ChunkKind::Whole],
            self::Articulation => ['Play it with every mark as printed.', PassMark::Once->label(), null, Effort::Once, ChunkKind::Whole],
            self::TempoLadder => ['Climb the metronome, a rung after three good ones.', PassMark::ThreeInARow->label(), null, Effort::ThreeInARow, ChunkKind::Whole],
            self::Finish => ['Play it for somebody, start to end.', PassMark::Once->label(), null, Effort::Once, ChunkKind::Whole],
            self::FindNotes => ['Find every note on the piano and say its name.', self::NAMED, Petal::Notes, Effort::Naming, ChunkKind::Whole],
            self::PositionAndFingers => ['Put the hands in place and say the finger numbers.', 'every finger right, once through', Petal::Fingers, Effort::Once, ChunkKind::Line],
            self::RightHandUncounted => ['Play the right hand alone, only correct keys and fingers.', PassMark::Once->label(), Petal::HandsApart, Effort::Once, ChunkKind::Line],
            self::RightHandCounting => ['Play the right hand alone, counting, two bars at a time.', PassMark::ThreeInARow->label(), Petal::Counts, Effort::ThreeInARow, ChunkKind::HalfLine],
            self::LeftHandUncounted => ['Play the left hand alone, only correct keys and fingers.', PassMark::Once->label(), Petal::HandsApart, Effort::Once, ChunkKind::Line],
            self::LeftHandCounting => ['Play the left hand alone, counting, two bars at a time.', PassMark::ThreeInARow->label(), Petal::Counts, Effort::ThreeInARow, ChunkKind::HalfLine],
            self::Listen => ['Listen to the whole piece and follow with a finger.', 'the finger is at the end when the piece is', null, Effort::Once, ChunkKind::Whole],
            self::PointMoves => ['Point along and say start, step, skip or repeat.', 'every move right, once through', Petal::Notes, Effort::Naming, ChunkKind::Whole],
            self::SingSolfege => ['Sing it with do, re, mi.', PassMark::Once->label(), null, Effort::Once, ChunkKind::Line],
            self::LetterNames => ['Say the letter of every note, from the first to the last.', self::NAMED, Petal::Notes, Effort::Naming, ChunkKind::Whole],
            self::Words => ['Say the words in rhythm.', self::TAPPED, Petal::Counts, Effort::Once, ChunkKind::Whole],
            self::Own => ['', '', null, Effort::Once, ChunkKind::Line],
            self::Echo => ['Hear a phrase, then play it back.', 'each phrase right at the second try', null, Effort::Once, ChunkKind::Line],
        };
    }

    /** One plain sentence. */
    public function sentence(): string
    {
        return $this->row()[0];
    }

    public function passMark(): string
    {
        return $this->row()[1];
    }

    /** Who passes it has named every note of the page in time. */
    public function namesEveryNote(): bool
    {
        return $this->row()[1] === self::NAMED;
    }

    public function petal(): ?Petal
    {
        return $this->row()[2];
    }

    public function effort(): Effort
    {
        return $this->row()[3];
    }

    public function chunks(): ChunkKind
    {
        return $this->row()[4];
    }

    /** It makes ready for playing, and no key of the page is played in it yet. */
    public function isPreparation(): bool
    {
        return match ($this) {
            self::LookOver, self::TapAndCount, self::NameNotes, self::FingersInAir, self::FindNotes, self::PositionAndFingers,
            self::Listen, self::PointMoves, self::SingSolfege, self::LetterNames, self::Words => true,
            default => false,
        };
    }

    /** Looked at or listened to once, mostly at the lesson itself. */
    public function isGlance(): bool
    {
        return $this === self::LookOver || $this === self::Listen;
    }

    /** What it is to the plan of a week. */
    public function taskClass(): TaskClass
    {
        return match (true) {
            $this->isGlance() => TaskClass::Glance,
            $this->isPreparation() => TaskClass::Preparation,
            default => TaskClass::Playing,
        };
    }

    /**
     * What it is played at on one day, from a tempo on: a ladder is climbed by two rungs (trade 9.3).
     *
     * @return non-empty-list<int> beats a minute
     */
    public function tempi(int $tempo, TempoLadder $ladder): array
    {
        return $this === self::TempoLadder ? $ladder->climbed($tempo) : [$tempo];
    }

    /** The one hand that does it; null when both do, or whichever plays. */
    public function hand(): ?Hand
    {
        return match ($this) {
            self::RightHand, self::RightHandUncounted, self::RightHandCounting => Hand::Right,
            self::LeftHand, self::LeftHandUncounted, self::LeftHandCounting => Hand::Left,
            default => null,
        };
    }

    /** A first hand-alone stage waits for what came before both hands, not for the other hand. */
    public function opensWithOtherHand(): bool
    {
        return $this === self::LeftHand || $this === self::LeftHandUncounted;
    }

    /** Naming and tapping wait for the look over alone; they need not wait for each other. */
    public function opensBesideTheOneBefore(): bool
    {
        return $this === self::NameNotes || $this === self::LetterNames;
    }
}

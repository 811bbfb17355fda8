<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

use Nasturtium\Core\Pattern\ChunkKind;

/** What went wrong at a place, and what is done about it on exactly those bars (trade 12.1). */
enum Slip: string
{
    case WrongNote = 'wrong-note';
    case ReadBackwards = 'read-backwards';
    case WrongFinger = 'wrong-finger';
    case LeapMissed = 'leap-missed';
    case CutShort = 'cut-short';
    case BeatLost = 'beat-lost';
    case LineTurnStall = 'line-turn-stall';
    case HandsApart = 'hands-do-not-meet';
    case Articulation = 'articulation';
    case Dynamics = 'dynamics';
    case RepeatMissed = 'repeat-missed';

    /** @return array{string, string, int} the slip in words, its remedy, percent of the tempo */
    private function row(): array
    {
        return match ($this) {
            self::WrongNote => ['wrong note, or two notes confused', 'Name every note of these bars, then play them.', 100],
            self::ReadBackwards => ['left hand read the wrong way', 'Point along the left hand and say start, step, skip; then play it alone.', 100],
            self::WrongFinger => ['wrong finger, hand drifted', 'Fingers in the air, then press all five keys of the position at once.', 100],
            self::LeapMissed => ['long leap missed', 'The shift alone: move, rest, play.', 100],
            self::CutShort => ['rest skipped, long note cut short', 'Tap these bars and count aloud.', 100],
            self::BeatLost => ['beat lost, rushing', 'One rung down, with the metronome.', 0],
            self::LineTurnStall => ['stall at the line turn', 'Play over the line end. Look ahead.', 80],
            self::HandsApart => ['hands do not meet', 'Bar to the next downbeat: each hand once, then together three times.', 100],
            self::Articulation => ['legato broken, staccato held', 'That hand alone, only long and short.', 100],
            self::Dynamics => ['dynamics missing', 'The whole piece once, only loud and soft.', 100],
            self::RepeatMissed => ['repeat missed', 'Trace the way through the page with a finger, then play it.', 100],
        };
    }

    /** Hands that do not meet: each once, then together three times. */
    public function repetitions(): int
    {
        return match ($this) {
            self::HandsApart => 5,
            self::Dynamics, self::RepeatMissed => 1,
            default => 3,
        };
    }

    /** What the remedy is done on; own is what the teacher has pointed at. */
    public function chunk(): ChunkKind
    {
        return match ($this) {
            self::LineTurnStall => ChunkKind::LineTurn,
            self::HandsApart => ChunkKind::BarOver,
            self::Dynamics, self::RepeatMissed => ChunkKind::Whole,
            default => ChunkKind::Own,
        };
    }

    /** It tells of a note that it is not known well. */
    public function isMisreading(): bool
    {
        return $this === self::WrongNote || $this === self::ReadBackwards;
    }

    /** The key that notes it at a lesson, a letter of its words; digits go to stages there. */
    public function key(): string
    {
        return match ($this) {
            self::WrongNote => 'w',
            self::ReadBackwards => 'l',
            self::WrongFinger => 'f',
            self::LeapMissed => 'm',
            self::CutShort => 'r',
            self::BeatLost => 'b',
            self::LineTurnStall => 't',
            self::HandsApart => 'h',
            self::Articulation => 'e',
            self::Dynamics => 'y',
            self::RepeatMissed => 'v',
        };
    }

    /** What its remedy is called for the child, who never reads the name of a slip. */
    public function title(): string
    {
        return match ($this) {
            self::WrongNote => 'These two notes',
            self::ReadBackwards => 'Left hand: which way?',
            self::WrongFinger => 'Same fingers every time',
            self::LeapMissed => 'The big move',
            self::CutShort => 'Count it out',
            self::BeatLost => 'Steady beat',
            self::LineTurnStall => 'Over the line end',
            self::HandsApart => 'Hands meet',
            self::Articulation => 'Smooth or short',
            self::Dynamics => 'Loud and soft',
            self::RepeatMissed => 'The way through',
        };
    }

    public function words(): string
    {
        return $this->row()[0];
    }

    public function remedy(): string
    {
        return $this->row()[1];
    }

    /** The tempo of the remedy, from that of the task it happened in; always on the metronome's marks when it is slower. */
    public function tempo(int $of): int
    {
        $percent = $this->row()[2];

        return match ($percent) {
            100 => $of,
            0 => TempoLadder::downFrom($of),
            default => TempoLadder::below(intdiv($of * $percent, 100)),
        };
    }
}

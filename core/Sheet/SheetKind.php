<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sheet;

use Nasturtium\Core\Choice;
use Nasturtium\Core\Drill\DrillKind;

/** Worksheets on paper (trade 17.1). */
enum SheetKind: string implements Choice
{
    case Name = 'name';
    case Draw = 'draw';
    case Ring = 'ring';
    case Spell = 'spell';
    case Moves = 'moves';
    case Counts = 'counts';
    case BarLines = 'bar-lines';
    case Sums = 'sums';
    case Fingers = 'fingers';
    case Hands = 'hands';
    case Same = 'same';
    case Signs = 'signs';
    case Keys = 'keys';
    case PageNames = 'page-names';
    case PageCounts = 'page-counts';
    case Recall = 'recall';
    case Sight = 'sight';

    public function label(): string
    {
        return match ($this) {
            self::Name => 'Name the notes',
            self::Draw => 'Draw the notes',
            self::Ring => 'Ring the notes',
            self::Spell => 'Spelling words',
            self::Moves => 'Step, skip or repeat',
            self::Counts => 'Write the counts',
            self::BarLines => 'Put in the bar lines',
            self::Sums => 'Rhythm sums',
            self::Fingers => 'Finger numbers',
            self::Hands => 'Clefs and hands',
            self::Same => 'Same or different',
            self::Signs => 'Signs and words',
            self::Keys => 'Keys on the keyboard',
            self::PageNames => 'A page: note names',
            self::PageCounts => 'A page: counts',
            self::Recall => 'Questions about a page',
            self::Sight => 'Lines at sight',
        };
    }

    /** The drill whose cards are its questions; null where it has questions of its own. */
    public function drill(): ?DrillKind
    {
        return match ($this) {
            self::Name => DrillKind::Name,
            self::Draw => DrillKind::Place,
            self::Spell => DrillKind::Spell,
            self::Moves => DrillKind::Way,
            self::Counts => DrillKind::Count,
            self::Fingers => DrillKind::Finger,
            self::Hands => DrillKind::Point,
            self::Same => DrillKind::Same,
            self::Signs => DrillKind::Say,
            self::Ring, self::BarLines, self::Sums, self::Keys, self::PageNames, self::PageCounts, self::Recall, self::Sight => null,
        };
    }

    /** The answer is one of some that are printed, and is ringed; else it is written. */
    public function ringsOptions(): bool
    {
        return in_array($this, [self::Moves, self::Hands, self::Same, self::Signs], true);
    }
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

use Nasturtium\Core\Choice;

/** What is trained in the practice room (trade 15.1). */
enum DrillKind: string implements Choice
{
    case Name = 'name';
    case Find = 'find';
    case Place = 'place';
    case Way = 'way';
    case Point = 'point';
    case Finger = 'finger';
    case Count = 'count';
    case Tap = 'tap';
    case Same = 'same';
    case Say = 'say';
    case Spell = 'spell';
    case Race = 'race';
    case Echo = 'echo';
    case Sound = 'sound';

    public function label(): string
    {
        return match ($this) {
            self::Name => 'Name it',
            self::Find => 'Find it',
            self::Place => 'Place it',
            self::Way => 'Which way',
            self::Point => 'Which clef, which hand',
            self::Finger => 'Which finger',
            self::Count => 'Count it',
            self::Tap => 'Tap it',
            self::Same => 'Same or different',
            self::Say => 'What does it say',
            self::Spell => 'Spell it',
            self::Race => 'Key race',
            self::Echo => 'Echo',
            self::Sound => 'Name the sound',
        };
    }

    /** What the child does, in one sentence. */
    public function words(): string
    {
        return match ($this) {
            self::Name => 'See a note and say its letter.',
            self::Find => 'See a note and find its key on the piano.',
            self::Place => 'Put a letter on its line or space.',
            self::Way => 'Does it step, skip, leap or repeat, and which way?',
            self::Point => 'Which clef is it, which hand, high or low?',
            self::Finger => 'Say the finger that plays the note.',
            self::Count => 'Count the beats of notes and bars.',
            self::Tap => 'Tap the rhythm with a steady beat.',
            self::Same => 'Look at two bars: are they the same?',
            self::Say => 'Say what the signs and words mean.',
            self::Spell => 'Read words that are written in notes.',
            self::Race => 'Find all the keys of one name in 10 seconds.',
            self::Echo => 'Listen, then play it back.',
            self::Sound => 'Listen from do, and name the sound.',
        };
    }

    /** Its answers tell how well a note is known (trade 10.1). */
    public function tellsOfNotes(): bool
    {
        return $this === self::Name || $this === self::Find || $this === self::Place;
    }
}

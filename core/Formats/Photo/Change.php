<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** What a teacher may change of what was read, one key each. */
enum Change: string
{
    /** The value is a clef's first letter count: see Corrected. */
    case Clef = 'clef';
    /** The value is sharps above zero, flats below. */
    case Key = 'key';
    /** The value is a hundred times the beats, and the unit. */
    case Time = 'time';
    /** The value is how many of them make a whole note: 1 to 32. */
    case Length = 'length';
    case Dot = 'dot';
    /** The value is steps upwards. */
    case Step = 'step';
    /** The value is 1, 0 or -1; none takes the accidental away. */
    case Accidental = 'accidental';
    /** The value is 1 to 5; none takes the number away. */
    case Finger = 'finger';
    /** To the next note, or no more. */
    case Tie = 'tie';
    case Rest = 'rest';
    /** A quarter note after the sign, on its place. */
    case Add = 'add';
    case Remove = 'remove';
    /** What is in doubt there is right as it stands. */
    case Right = 'right';

    /** Whether it is said of one sign. */
    public function isOfSign(): bool
    {
        return ! in_array($this, [self::Clef, self::Key, self::Time, self::Right], true);
    }
}

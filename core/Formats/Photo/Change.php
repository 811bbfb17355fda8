<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** What a teacher may change of what was read, one key each. */
enum Change: string
{
    /** The other one of treble and bass. */
    case Clef = 'clef';
    /** The value is one sharp more, or one flat more below zero; after seven it goes on at the other end. */
    case Key = 'key';
    /** The next of the times that pages have. */
    case Time = 'time';
    /** The value is how many of them make a whole note: 1 to 32. */
    case Length = 'length';
    case Dot = 'dot';
    /** The value is steps upwards. */
    case Step = 'step';
    /** The value is 1, 0 or -1; what stands there already is taken away. */
    case Accidental = 'accidental';
    /** The value is 1 to 5; none takes the number away. */
    case Finger = 'finger';
    /** To the next note, or no more. */
    case Tie = 'tie';
    case Rest = 'rest';
    /** A quarter note after the sign, on its place. */
    case Add = 'add';
    case Remove = 'remove';
    /** The staff of the bar as it was read another time. */
    case Other = 'other';
    /** No bar line is at the end of the bar. */
    case Join = 'join';
    /** A bar line is before the sign. */
    case Split = 'split';
    /** What is in doubt there is right as it stands. */
    case Right = 'right';
}

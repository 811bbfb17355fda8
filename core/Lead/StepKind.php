<?php

declare(strict_types=1);

namespace Nasturtium\Core\Lead;

/** What happens in a step of a led run. */
enum StepKind: string
{
    /** The words are said, and it goes on. */
    case Say = 'say';
    /** The bars are played to the student: my turn. */
    case Play = 'play';
    /** The student plays, and is listened to: your turn. */
    case Turn = 'turn';
    /** The beat goes on while the student taps, names, points, sings or shows fingers. */
    case Along = 'along';
    /** The student does it alone, and says when it is done. */
    case Alone = 'alone';
    /** A break. */
    case Rest = 'rest';
    /** The task is ticked. */
    case Done = 'done';
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Drill;

/** How a card is answered. */
enum AnswerBy: string
{
    /** One of its options. */
    case Option = 'option';
    /** A line or a space of its staff, as an option that stands where it lies. */
    case Staff = 'staff';
    /** One key of a piano. */
    case Key = 'key';
    /** Keys in their order, after they were heard. */
    case Phrase = 'phrase';
    /** All keys of a name, in ten seconds, name after name. */
    case Race = 'race';
    /** Taps, after a count-in. */
    case Taps = 'taps';
}

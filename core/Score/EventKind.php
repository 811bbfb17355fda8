<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

enum EventKind: string
{
    case Note = 'note';
    case Chord = 'chord';
    case Rest = 'rest';
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** How a student answers "which note is this?" (trade 3.3). */
enum School: string
{
    case Landmark = 'landmark';
    case Alphabet = 'alphabet';
    case Phrase = 'phrase';
}

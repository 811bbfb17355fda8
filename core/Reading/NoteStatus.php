<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** How well a student knows a note by sight (trade 10.1). */
enum NoteStatus: string
{
    case Fresh = 'new';
    case Shaky = 'shaky';
    case Secure = 'secure';
}

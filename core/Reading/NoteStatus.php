<?php

declare(strict_types=1);

namespace Nasturtium\Core\Reading;

/** How well a student knows a note by sight (handbook 10). */
enum NoteStatus: string
{
    case Fresh = 'new';
    case Shaky = 'shaky';
    case Secure = 'secure';
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\Photo;

/** What a reader is at, in its order. */
enum PhotoStep: string
{
    case Opening = 'opening';
    case Staves = 'staves';
    case Lines = 'lines';
    case Words = 'words';
}

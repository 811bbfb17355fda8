<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

/** Which hands play in a bar, and whether ever at the same time (trade 7.1). */
enum HandsPlay: string
{
    case Right = 'R';
    case Left = 'L';
    case Turns = 'turns';
    case Together = 'together';
    case Rest = 'rest';
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Counting;

/** Where the "&" is said. */
enum CountStyle: string
{
    /** In every beat of a bar that has an eighth in either hand. */
    case WholeBar = 'bar';
    /** Only in the beats that divide. */
    case DividedBeats = 'beats';
}

<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** How long a key was held, by what is written. */
enum Hold: string
{
    case Ok = 'ok';
    case Short = 'short';
    case Long = 'long';
}

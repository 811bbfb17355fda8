<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** Where a take was heard. */
enum Source: string
{
    case Keyboard = 'keyboard';
    case Microphone = 'microphone';
}

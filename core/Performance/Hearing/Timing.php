<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing;

/** A note against the student's own beat. */
enum Timing: string
{
    case Ok = 'ok';
    case Early = 'early';
    case Late = 'late';
}

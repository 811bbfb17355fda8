<?php

declare(strict_types=1);

namespace Nasturtium\Core\Fingering;

/** Where a finger comes from. */
enum FingerSource: string
{
    case Page = 'page';
    case Teacher = 'teacher';
    case Pattern = 'pattern';
    case WorkedOut = 'worked out';
}

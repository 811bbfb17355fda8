<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** What tells of a note that a student knows it, or does not (trade 10.1). */
enum EvidenceKind: string
{
    /** A page was opened, or played, that it stands on. */
    case Page = 'page';
    case RightAnswer = 'right';
    case WrongAnswer = 'wrong';
    /** Every note of a page was named within 3 seconds: the pass mark of a naming stage. */
    case Named = 'named';
    /** It went wrong at a lesson. */
    case Slip = 'slip';
}

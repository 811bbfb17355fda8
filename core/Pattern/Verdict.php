<?php

declare(strict_types=1);

namespace Nasturtium\Core\Pattern;

/** What the teacher says of a bar over what was reckoned. */
enum Verdict: string
{
    case Easy = 'easy';
    case Hard = 'hard';
}

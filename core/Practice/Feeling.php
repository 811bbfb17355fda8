<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** How a task went at home, in the child's word. */
enum Feeling: string
{
    case Easy = 'easy';
    case Fine = 'fine';
    case Hard = 'hard';
}

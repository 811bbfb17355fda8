<?php

declare(strict_types=1);

namespace Nasturtium\Core\Path;

use Nasturtium\Core\Choice;

/** The five petals of a page (trade 8.4). */
enum Petal: string implements Choice
{
    case Notes = 'notes';
    case Fingers = 'fingers';
    case Counts = 'counts';
    case HandsApart = 'hands apart';
    case HandsTogether = 'hands together';

    public function label(): string
    {
        return $this->value;
    }
}

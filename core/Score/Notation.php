<?php

declare(strict_types=1);

namespace Nasturtium\Core\Score;

/** How a page shows its notes: on the staff, or, in the first pages of a book, in the note heads alone. */
enum Notation: string
{
    case Staff = 'staff';
    /** No staff: finger numbers in the heads. */
    case Fingers = 'fingers';
    /** No staff: letter names in the heads. */
    case Letters = 'letters';

    public function hasStaff(): bool
    {
        return $this === self::Staff;
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Members;

/** What somebody may do in a studio. */
enum Role: string
{
    /** All of it: who belongs to the studio, restoring a backup, deleting it. */
    case Owner = 'owner';

    /** Everything about students, books and the studio's ways. */
    case Teacher = 'teacher';

    /** The lessons and plans of the students given to her. */
    case Assistant = 'assistant';

    public function teaches(): bool
    {
        return $this !== self::Assistant;
    }
}

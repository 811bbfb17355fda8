<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** Care for small hands (trade 13.1), in words for home. */
final class Care
{
    /** Minutes of practice after which a break does good. */
    public static function breakAfter(int $age): int
    {
        return $age < 8 ? 10 : 20;
    }

    /** @return list<string> */
    public static function words(): array
    {
        return [
            'Stop when it hurts. Shake your hands out, rest, and tell your teacher. If pain lasts, see a doctor.',
            'Move the hand to a far key; do not stretch for it.',
            'Sit so that your forearms are level, with the elbows a little in front of you.',
        ];
    }
}

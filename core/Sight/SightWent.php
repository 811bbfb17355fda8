<?php

declare(strict_types=1);

namespace Nasturtium\Core\Sight;

use Nasturtium\Core\Choice;
use Nasturtium\Core\Performance\Hearing\Heard;
use Nasturtium\Core\Performance\Hearing\HeardNote;
use Nasturtium\Core\Performance\Hearing\HeardStatus;

/** How a line at sight went. */
enum SightWent: string implements Choice
{
    case Clean = 'clean';
    case Nearly = 'nearly';
    case Hard = 'hard';

    /** Keys that are wrong or missed in a hundred, up to which it nearly went; and times that it began again. */
    private const NEARLY = 15;

    private const AGAIN = 1;

    /** How a line went by what was heard (trade 16.3): clean, or nearly where few keys were wrong and it hardly began again. */
    public static function heard(Heard $heard): self
    {
        if ($heard->isClean()) {
            return self::Clean;
        }
        $faults = array_filter($heard->notes, static fn (HeardNote $note): bool => $note->status !== HeardStatus::Right && $note->status !== HeardStatus::Unsure);

        return 100 * (count($faults) + count($heard->extras)) <= self::NEARLY * count($heard->notes) && count($heard->restarts) <= self::AGAIN ? self::Nearly : self::Hard;
    }

    public function label(): string
    {
        return match ($this) {
            self::Clean => 'Clean',
            self::Nearly => 'Nearly',
            self::Hard => 'Hard',
        };
    }
}

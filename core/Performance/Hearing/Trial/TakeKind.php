<?php

declare(strict_types=1);

namespace Nasturtium\Core\Performance\Hearing\Trial;

/** What happens in an invented take. */
enum TakeKind: string
{
    case Clean = 'clean';
    case Wrong = 'wrong';
    case Missed = 'missed';
    case Extra = 'extra';
    case Stall = 'stall';
    case Restart = 'restart';
    case Apart = 'apart';
    case RepeatLeftOut = 'repeat left out';
    case OneHand = 'one hand';
    case Held = 'held';
    case OffBeat = 'off the beat';
    case Rushed = 'rushed';
    case Stopped = 'stopped';
    case Mixed = 'mixed';
    case Rough = 'rough';
    case Fast = 'fast';

    /** Thousandths of the notes or moments that it happens to. */
    public function rate(self $what): int
    {
        return match (true) {
            $this === self::Fast => 0,
            $this === self::Mixed => [self::Wrong->value => 100, self::Missed->value => 50, self::Extra->value => 80, self::Stall->value => 25, self::Restart->value => 12, self::Apart->value => 100, self::Held->value => 80, self::OffBeat->value => 20][$what->value] ?? 0,
            $this === self::Rough => [self::Wrong->value => 140, self::Missed->value => 80, self::Extra->value => 110, self::Stall->value => 45, self::Restart->value => 35, self::Apart->value => 160, self::Held->value => 100, self::OffBeat->value => 40][$what->value] ?? 0,
            $this !== $what => 0,
            default => [self::Wrong->value => 110, self::Missed->value => 80, self::Extra->value => 90, self::Stall->value => 50, self::Restart->value => 40, self::Apart->value => 400, self::Held->value => 150, self::OffBeat->value => 80][$what->value] ?? 0,
        };
    }
}

<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\ConcurrencyErrorDetector;
use Illuminate\Database\LostConnectionDetector;
use Illuminate\Support\Str;
use Throwable;

/**
 * Failures of the database that pass by themselves: another transaction stood in the way, or the node that was asked is
 * gone and the next one is not asked yet. How often and after which waits it is tried again is decided here alone.
 */
final class Passing
{
    /** Milliseconds before each further try, by what it failed on; more with each, so that two do not meet again. */
    private const IN_THE_WAY = [20, 40, 60, 80, 100];

    /** Six seconds in all, and up to half as much again: a node is left out after four. */
    private const AWAY = [50, 150, 300, 500, 1000, 1000, 1500, 1500];

    /** What a node says that is not, or no longer, part of the majority: what it was asked to keep it has not. */
    private const ALONE = ['WSREP has not yet prepared node for application use', 'Not connected to Primary Component'];

    public static function isAway(Throwable $reason): bool
    {
        return self::isAlone($reason) || (new LostConnectionDetector())->causedByLostConnection($reason);
    }

    /** Whether nobody can say if what was being kept is kept. */
    public static function isOpen(Throwable $reason): bool
    {
        return self::isAway($reason) && ! self::isAlone($reason);
    }

    private static function isAlone(Throwable $reason): bool
    {
        return Str::contains($reason->getMessage(), self::ALONE);
    }

    /**
     * @param  int      $try how often it has been tried, from 1
     * @return int|null milliseconds after which it is worth another try; null where it is not
     */
    public static function wait(Throwable $reason, int $try): ?int
    {
        return match (true) {
            (new ConcurrencyErrorDetector())->causedByConcurrencyError($reason) => self::IN_THE_WAY[$try - 1] ?? null,
            self::isAway($reason) => self::AWAY[$try - 1] ?? null,
            default => null,
        };
    }

    /** Waits before another try, a little more or less, so that those who failed together do not come back together; or says that none is worth it. */
    public static function hasPassed(Throwable $reason, int $try): bool
    {
        $wait = self::wait($reason, $try);
        if ($wait === null) {
            return false;
        }
        usleep(1000 * $wait + random_int(0, 500 * $wait));

        return true;
    }
}

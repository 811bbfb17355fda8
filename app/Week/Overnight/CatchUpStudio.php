<?php

declare(strict_types=1);

namespace App\Week\Overnight;

use App\Queue\EachByItself;
use App\Watch\Readiness;
use App\Week\CatchUp;
use App\Week\Week;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Plans a studio's weeks again after their missed days, by night, so that nobody waits for it in the morning. Each week by
 * itself and once a day: what a worker that ended had not done is done by the next, what it had done is not done again.
 */
final class CatchUpStudio implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    /** Worked on after all others. */
    public const QUEUE = Readiness::BY_NIGHT;

    /** Weeks of one job; a school's others are another's, so that letters and photos go in between. */
    public const AT_ONCE = 100;

    public int $tries = 3;

    public int $timeout = 55;

    /** In seconds: a studio whose job was lost before it was begun is put into the queue again by the next hour's. */
    public int $uniqueFor = 3600;

    public function __construct(public readonly int $studioId)
    {
        $this->onQueue(self::QUEUE);
    }

    public function uniqueId(): string
    {
        return (string) $this->studioId;
    }

    /** A week that cannot be planned is reported, keeps the others from nothing, and is tried again in the next hour. */
    public function handle(CatchUp $catchUp): void
    {
        $behind = BehindWeeks::of($this->studioId, self::AT_ONCE);
        $planned = EachByItself::of(Week::query()->whereKey(array_keys($behind))->get(), static fn (Week $week) => $catchUp($week, $behind[$week->id]));
        if (count($behind) === self::AT_ONCE && $planned > 0) {
            self::dispatch($this->studioId);
        }
    }
}

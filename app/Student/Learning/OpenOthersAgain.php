<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Queue\EachByItself;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Breaks pieces down again, each in a transaction of its own; what a worker that ended had done is done again and stays the same. */
final class OpenOthersAgain implements ShouldQueue
{
    use Queueable;

    /** Pieces of one job, so that letters and photos go in between. */
    public const AT_ONCE = 100;

    public int $tries = 3;

    /** Seconds; a piece takes a tenth of one at most. */
    public int $timeout = 55;

    /** @param list<int> $learnings */
    public function __construct(private readonly array $learnings) {}

    public function handle(OpenPiece $open): void
    {
        EachByItself::of(Learning::query()->whereKey($this->learnings)->with(['piece', 'ownPath.steps'])->get(), $open->again(...));
    }
}

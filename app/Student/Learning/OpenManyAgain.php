<?php

declare(strict_types=1);

namespace App\Student\Learning;

/** Breaks pieces down again for those who are on them: for a few at once, for all others by the queue, for a school has many. */
final class OpenManyAgain
{
    /** As many as a teacher may look at next; more would let her wait. */
    public const AT_ONCE = 4;

    public function __construct(private readonly OpenPiece $open) {}

    /** @param list<int> $learnings those that matter most first */
    public function __invoke(array $learnings): void
    {
        $first = array_slice($learnings, 0, self::AT_ONCE);
        foreach (Learning::query()->whereKey($first)->with(['piece', 'ownPath.steps'])->get() as $learning) {
            $this->open->again($learning);
        }
        foreach (array_chunk(array_slice($learnings, self::AT_ONCE), OpenOthersAgain::AT_ONCE) as $others) {
            OpenOthersAgain::dispatch($others);
        }
    }
}

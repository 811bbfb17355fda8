<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Page\Piece\PieceRetyped;
use Nasturtium\Core\Practice\LearningState;

/** A piece whose music was corrected is broken down again for everybody who is on it, and then for who has been. */
final class OpenAgain
{
    public function __construct(private readonly OpenManyAgain $open) {}

    public function handle(PieceRetyped $retyped): void
    {
        $learnings = $retyped->piece->learnings()->orderByDesc('id')->get(['id', 'state']);
        [$finished, $open] = $learnings->partition(static fn (Learning $learning): bool => $learning->state === LearningState::Finished);
        ($this->open)([...$open->modelKeys(), ...$finished->modelKeys()]);
    }
}

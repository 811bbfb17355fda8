<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Page\Piece\PieceRetyped;

/** A piece whose music was corrected is broken down again for everybody who is on it. */
final class OpenAgain
{
    public function __construct(private readonly OpenPiece $open) {}

    public function handle(PieceRetyped $retyped): void
    {
        foreach ($retyped->piece->learnings()->with(['piece', 'ownPath.steps'])->get() as $learning) {
            $this->open->again($learning);
        }
    }
}

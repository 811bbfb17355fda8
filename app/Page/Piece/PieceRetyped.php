<?php

declare(strict_types=1);

namespace App\Page\Piece;

use Illuminate\Foundation\Events\Dispatchable;

/** The music of a piece is another than it was. */
final readonly class PieceRetyped
{
    use Dispatchable;

    public function __construct(public Piece $piece) {}
}

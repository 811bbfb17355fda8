<?php

declare(strict_types=1);

namespace App\Desk;

use App\Http\Asked;
use App\Page\Piece\PlaysBars;

/** Bars of a piece, to be heard. The policy stands on the route. */
final class PiecePlaybackRequest extends Asked
{
    use PlaysBars;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->barRules();
    }
}

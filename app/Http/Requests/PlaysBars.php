<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Score\Piece;

/** Asks for the sound of a piece, or of the bars from `first` to `last` (indices from 0). */
trait PlaysBars
{
    /** @return array<string, list<mixed>> */
    private function barRules(): array
    {
        return [
            'first' => ['nullable', 'integer', 'min:0', 'required_with:last'],
            'last' => ['nullable', 'integer', 'min:0', 'gte:first'],
        ];
    }

    public function playback(Piece $piece): Playback
    {
        $end = count($piece->measures) - 1;

        return $this->filled('first')
            ? Playback::range($piece, min($this->integer('first'), $end), min($this->filled('last') ? $this->integer('last') : $this->integer('first'), $end))
            : Playback::whole($piece);
    }
}

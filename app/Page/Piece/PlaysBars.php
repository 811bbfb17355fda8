<?php

declare(strict_types=1);

namespace App\Page\Piece;

use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Piece;

/** Asks for the sound of a piece, or of the bars from `first` to `last` (indices from 0), exact to the beat where `fromBeat` and `toBeat` say so (1 is the first). */
trait PlaysBars
{
    /** @return array<string, list<mixed>> */
    private function barRules(): array
    {
        return [
            'first' => ['nullable', 'integer', 'min:0', 'required_with:last'],
            'last' => ['nullable', 'integer', 'min:0', 'gte:first'],
            'fromBeat' => ['nullable', 'integer', 'between:1,64', 'required_with:toBeat'],
            'toBeat' => ['nullable', 'integer', 'between:1,64', 'required_with:fromBeat'],
        ];
    }

    /** @throws ValidationException when a beat is not in its measure */
    public function playback(Piece $piece, CountWay $way = new CountWay()): Playback
    {
        $end = count($piece->measures) - 1;
        if ($this->filled(['first', 'last', 'fromBeat'])) {
            try {
                return Playback::between($piece, $this->integer('first'), $this->integer('fromBeat') - 1, $this->integer('last'), $this->integer('toBeat') - 1, $way);
            } catch (Refusal $reason) {
                throw ValidationException::withMessages(['fromBeat' => ucfirst($reason->getMessage()).'.']);
            }
        }

        return $this->filled('first')
            ? Playback::range($piece, min($this->integer('first'), $end), min($this->filled('last') ? $this->integer('last') : $this->integer('first'), $end), $way)
            : Playback::whole($piece, $way);
    }
}

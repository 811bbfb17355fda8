<?php

declare(strict_types=1);

namespace App\Desk;

use App\Http\Asked;

/** Where the student plays a piece, as in a duet. The policy stands on the route. */
final class OctaveRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['octave' => ['required', 'integer', 'between:-2,2']];
    }
}

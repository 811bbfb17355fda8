<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Http\Asked;
use Illuminate\Validation\ValidationException;

/** Keys that were struck, and the text up to the cursor. The policy stands on the route. */
final class PlayedKeysRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['present', 'nullable', 'string', 'max:60000'],
            'keys' => ['required', 'array', 'between:1,10'],
            'keys.*' => ['integer', 'between:0,127'],
        ];
    }

    /** @return non-empty-list<int> as MIDI numbers */
    public function struck(): array
    {
        $keys = array_map(intval(...), array_values((array) $this->input('keys')));

        return $keys === [] ? throw ValidationException::withMessages(['keys' => 'No key was struck.']) : $keys;
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A book. The policy stands on the route. */
final class BookRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:120'],
            'level' => ['present', 'nullable', 'string', 'max:60'],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Page;

use App\Http\Asked;

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

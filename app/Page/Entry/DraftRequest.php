<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Http\Asked;

/** What is typed so far, and which state of it this window has seen. The policy stands on the route. */
final class DraftRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['present', 'nullable', 'string', 'max:60000'],
            'label' => ['present', 'nullable', 'string', 'max:4'],
            'revision' => ['required', 'integer', 'min:0', 'max:1000000000'],
        ];
    }
}

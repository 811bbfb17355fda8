<?php

declare(strict_types=1);

namespace App\Student\Family;

use App\Http\Asked;

/** A link for a family. The policy stands on the route. */
final class FamilyLinkRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'label' => ['required', 'string', 'max:60'],
            'expiresOn' => ['nullable', 'date_format:Y-m-d'],
        ];
    }
}

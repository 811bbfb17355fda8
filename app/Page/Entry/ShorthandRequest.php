<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Http\Asked;

/** What has been typed so far. The policy stands on the route. */
class ShorthandRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'shorthand' => ['present', 'nullable', 'string', 'max:60000'],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Http\Asked;

/** A stage is ticked off by hand, or opened again. The policy stands on the route. */
final class StageRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'passed' => ['required', 'boolean'],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Http\Asked;

/** A word to the family with the week; without one what stands stays. The policy stands on the route. */
final class SendRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['message' => ['sometimes', 'nullable', 'string', 'max:500']];
    }
}

<?php

declare(strict_types=1);

namespace App\Desk;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Pattern\Verdict;

/** What the teacher says of a bar; null takes it back. The policy stands on the route. */
final class VerdictRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'measure' => ['required', 'integer', 'between:0,9999'],
            'verdict' => ['present', 'nullable', Rule::enum(Verdict::class)],
        ];
    }
}

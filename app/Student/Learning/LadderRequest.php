<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Score\Hand;

/** A tempo ladder of the teacher's, or none, which leaves that of the page. The policy stands on the route. */
final class LadderRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'hand' => ['present', 'nullable', Rule::enum(Hand::class)],
            'start' => ['present', 'nullable', 'integer', 'between:20,400'],
            'goal' => ['nullable', 'required_with:start', 'integer', 'between:20,400', 'gte:start'],
            'step' => ['present', 'nullable', 'integer', 'between:1,60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['goal.gte' => 'The goal is not slower than the start.'];
    }
}

<?php

declare(strict_types=1);

namespace App\Home;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\Feeling;

/** A tick from home. The policy stands on the route. */
final class PracticeRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'clientKey' => ['required', 'uuid'],
            'date' => ['required', 'date_format:Y-m-d'],
            'repetitions' => ['required', 'integer', 'between:0,99'],
            'tempo' => ['nullable', 'integer', 'between:20,400'],
            'seconds' => ['nullable', 'integer', 'between:0,65535'],
            'feeling' => ['required', Rule::enum(Feeling::class)],
            'note' => ['present', 'nullable', 'string', 'max:240'],
        ];
    }
}

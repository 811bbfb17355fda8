<?php

declare(strict_types=1);

namespace App\Student;

use App\Http\Asked;

/** That a parent agreed, when, and in which words; without a day it is withdrawn. The policy stands on the route. */
final class ConsentRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'consentedOn' => ['present', 'nullable', 'date_format:Y-m-d', 'before_or_equal:tomorrow'],
            'words' => ['nullable', 'required_with:consentedOn', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'words.required_with' => 'Write down who agreed, and to what.',
            'consentedOn.before_or_equal' => 'This day is still to come.',
        ];
    }
}

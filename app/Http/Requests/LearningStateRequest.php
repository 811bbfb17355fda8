<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A piece rests, or is taken up again. The policy stands on the route. */
final class LearningStateRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'state' => ['required', 'in:current,resting'],
        ];
    }
}

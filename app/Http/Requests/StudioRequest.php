<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The settings of a studio. The policy stands on the route. */
final class StudioRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'words' => ['required', 'in:us,uk'],
            'paper' => ['required', 'in:a4,letter'],
            'timezone' => ['required', 'timezone:all'],
        ];
    }
}

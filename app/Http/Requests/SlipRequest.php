<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\Slip;

/** What went wrong, and where. The policy stands on the route. */
final class SlipRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'taskId' => ['required', 'integer', Rule::exists('tasks', 'id')->where('studio_id', $this->user()?->studio_id)],
            'kind' => ['required', Rule::enum(Slip::class)],
            'measure' => ['required', 'integer', 'between:0,9999'],
            'hand' => ['present', 'nullable', 'in:R,L'],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Score\Hand;

/** What went wrong, and where: a bar, or several, exact to the beat where beats are given. The policy stands on the route. */
final class SlipRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'taskId' => ['required', 'integer', Rule::exists('tasks', 'id')->where('studio_id', $this->user()?->studio_id)],
            'kind' => ['required', Rule::enum(Slip::class)],
            'measure' => ['required', 'integer', 'between:0,9999'],
            'last' => ['nullable', 'integer', 'gte:measure', 'between:0,9999'],
            'fromBeat' => ['nullable', 'integer', 'between:1,64', 'required_with:toBeat'],
            'toBeat' => ['nullable', 'integer', 'between:1,64', 'required_with:fromBeat'],
            'hand' => ['present', 'nullable', Rule::enum(Hand::class)],
            'clientKey' => ['nullable', 'uuid'],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Account\NearDay;
use App\Http\Asked;
use App\Lesson\Lesson;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\Calendar\LessonState;

/** A lesson that is moved, cancelled, or held besides the timetable. The policy stands on the route. */
final class LessonChangeRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'state' => ['required', Rule::enum(LessonState::class)->except(LessonState::Held)],
            'slotOn' => ['nullable', 'required_unless:state,'.LessonState::MakeUp->value, 'date_format:Y-m-d', new NearDay()],
            'heldOn' => ['nullable', 'required_unless:state,'.LessonState::Cancelled->value, 'date_format:Y-m-d', new NearDay()],
            'at' => ['nullable', 'date_format:H:i'],
            'minutes' => ['nullable', 'integer', 'between:10,180'],
            'together' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'slotOn.required_unless' => 'Say which lesson it is about.',
            'heldOn.required_unless' => 'Say on which day it is held.',
        ];
    }
}

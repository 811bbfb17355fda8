<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\Attendance;

/** The record of a lesson: its length and its notes; what is not sent stays. The policy stands on the route. */
final class LessonRecordRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'minutes' => ['sometimes', 'integer', 'between:5,240'],
            'attendance' => ['sometimes', Rule::enum(Attendance::class)],
            'privateNote' => ['sometimes', 'nullable', 'string', 'max:4000'],
            'sharedNote' => ['sometimes', 'nullable', 'string', 'max:4000'],
        ];
    }

    /** @return array<string, int|string> */
    public function columns(): array
    {
        return [
            ...$this->has('minutes') ? ['minutes' => $this->integer('minutes')] : [],
            ...$this->has('attendance') ? ['attendance' => $this->string('attendance')->toString()] : [],
            ...$this->has('privateNote') ? ['private_note' => $this->string('privateNote')->trim()->toString()] : [],
            ...$this->has('sharedNote') ? ['shared_note' => $this->string('sharedNote')->trim()->toString()] : [],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** A calendar of one student, or of all lessons. The policy stands on the route. */
final class CalendarRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['studentId' => ['present', 'nullable', 'integer', Rule::exists('students', 'id')->where('studio_id', $this->user()?->getAttribute('studio_id'))]];
    }
}

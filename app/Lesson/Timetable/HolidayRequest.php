<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Account\NearDay;
use App\Http\Asked;
use App\Student\Timetable\Holiday;
use Closure;
use Illuminate\Validation\Rule;

/** Days without lessons or practice, of one student or of all. The policy stands on the route. */
final class HolidayRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'studentId' => ['present', 'nullable', 'integer', Rule::exists('students', 'id')->where('studio_id', $this->user()?->getAttribute('studio_id'))],
            'label' => ['required', 'string', 'max:60'],
            'from' => ['required', 'date_format:Y-m-d', new NearDay(2)],
            'to' => ['required', 'date_format:Y-m-d', 'after_or_equal:from', fn (string $name, mixed $to, Closure $fail) => is_string($to) && $to > $this->lastDay() ? $fail('A holiday lasts '.Holiday::LONGEST.' days at most. Enter the rest as another one.') : null],
            'lessons' => ['required', 'boolean'],
            'practice' => ['required', 'boolean', $this->boolean('lessons') ? 'declined' : 'boolean'],
        ];
    }

    private function lastDay(): string
    {
        $from = \DateTimeImmutable::createFromFormat('!Y-m-d', $this->string('from')->toString());

        return $from === false ? '' : $from->modify('+'.Holiday::LONGEST.' days')->format('Y-m-d');
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'to.after_or_equal' => 'The last day is before the first.',
            'practice.declined' => 'With lessons and practice as always there is nothing to enter: choose which of them rests.',
        ];
    }
}

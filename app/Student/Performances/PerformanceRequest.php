<?php

declare(strict_types=1);

namespace App\Student\Performances;

use App\Account\NearDay;
use App\Http\Asked;
use App\Student\Student;
use Illuminate\Validation\Rule;

/** A performance of a student. The policy stands on the route. */
final class PerformanceRequest extends Asked
{
    /** Pieces of one student at one concert. */
    private const MOST = 12;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:60'],
            'date' => ['required', 'date_format:Y-m-d', new NearDay(2)],
            'learningIds' => ['required', 'array', 'min:1', 'max:'.self::MOST],
            'learningIds.*' => ['integer', 'distinct', Rule::exists('learnings', 'id')->where('student_id', $this->studentId())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['learningIds.required' => 'Choose at least one piece.'];
    }

    /** @return list<int> */
    public function learningIds(): array
    {
        return array_values(array_map(intval(...), (array) $this->input('learningIds')));
    }

    private function studentId(): int
    {
        [$student, $performance] = [$this->route('student'), $this->route('performance')];

        return $student instanceof Student ? $student->id : ($performance instanceof Performance ? $performance->student_id : 0);
    }
}

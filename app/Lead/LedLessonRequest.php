<?php

declare(strict_types=1);

namespace App\Lead;

use App\Http\Asked;
use App\Student\Student;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Score\Hand;

/** A make-up lesson with its steps. The policy stands on the route. */
final class LedLessonRequest extends Asked
{
    private const MOST_STEPS = 20;

    private const STEP = ['stageId' => 'stage_id', 'learningId' => 'learning_id', 'first' => 'first', 'last' => 'last', 'hand' => 'hand', 'tempo' => 'tempo', 'words' => 'words', 'halfMinutes' => 'half_minutes'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $student = $this->studentId();

        return [
            'title' => ['required', 'string', 'max:80'],
            'steps' => ['required', 'array', 'min:1', 'max:'.self::MOST_STEPS],
            'steps.*.id' => ['nullable', 'integer'],
            'steps.*.stageId' => ['nullable', 'integer', Rule::exists('stages', 'id')->where(fn ($stages) => $stages->whereIn('learning_id', static fn ($learnings) => $learnings->select('id')->from('learnings')->where('student_id', $student)))],
            'steps.*.learningId' => ['nullable', 'integer', 'required_with:steps.*.first', Rule::exists('learnings', 'id')->where('student_id', $student)],
            'steps.*.first' => ['nullable', 'integer', 'between:0,9999', 'required_with:steps.*.learningId'],
            'steps.*.last' => ['nullable', 'integer', 'max:9999', 'gte:steps.*.first', 'required_with:steps.*.first'],
            'steps.*.hand' => ['nullable', Rule::enum(Hand::class)],
            'steps.*.tempo' => ['nullable', 'integer', 'between:20,400'],
            'steps.*.words' => ['required', 'string', 'max:300'],
            'steps.*.halfMinutes' => ['required', 'integer', 'between:1,40'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['steps.required' => 'Add at least one step.', 'steps.*.words.required' => 'Say what to do in this step.'];
    }

    /** @return list<array{id: ?int, row: array<string, mixed>}> in their order */
    public function steps(): array
    {
        $steps = [];
        foreach (array_values((array) $this->input('steps')) as $position => $step) {
            $given = (array) $step;
            $row = ['position' => $position];
            foreach (self::STEP as $name => $column) {
                $row[$column] = $given[$name] ?? null;
            }
            $steps[] = ['id' => is_numeric($given['id'] ?? null) ? (int) $given['id'] : null, 'row' => $row];
        }

        return $steps;
    }

    private function studentId(): int
    {
        [$student, $lesson] = [$this->route('student'), $this->route('ledLesson')];

        return $student instanceof Student ? $student->id : ($lesson instanceof LedLesson ? $lesson->student_id : 0);
    }
}

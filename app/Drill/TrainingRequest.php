<?php

declare(strict_types=1);

namespace App\Drill;

use App\Http\Asked;
use App\Student\Student;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Drill\DrillKind;

/** What a teacher sets for the practice room of a student. The policy stands on the route. */
final class TrainingRequest extends Asked
{
    private const MOST_NOTES = 60;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kinds' => ['present', 'nullable', 'array', 'min:1', 'max:14'],
            'kinds.*' => [Rule::enum(DrillKind::class)],
            'notes' => ['present', 'nullable', 'array', 'min:2', 'max:'.self::MOST_NOTES],
            'notes.*' => ['string', 'max:20', 'regex:/^'.DrillAnswer::CHOSEN.'$/D'],
            'minutes' => ['present', 'nullable', 'integer', 'between:1,10'],
            'answers' => ['required', 'integer', 'between:3,40'],
            'right' => ['required', 'integer', 'between:50,100'],
            'within' => ['required', 'integer', 'between:500,20000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kinds.min' => 'Leave at least one kind of drill.',
            'notes.min' => 'Choose at least two notes.',
            'notes.*.regex' => 'Write a note as treble:C4 or bass:F#3.',
        ];
    }

    public function fill(Student $student): Student
    {
        return $student->fill([
            'drill_kinds' => $this->joined('kinds'),
            'drill_notes' => $this->joined('notes'),
            'drill_minutes' => $this->input('minutes'),
            'drill_answers' => $this->integer('answers'),
            'drill_right' => $this->integer('right'),
            'drill_within' => $this->integer('within'),
        ]);
    }

    private function joined(string $name): ?string
    {
        $list = $this->input($name);

        return is_array($list) ? implode(',', array_unique(array_map(strval(...), $list))) : null;
    }
}

<?php

declare(strict_types=1);

namespace App\Week\Patterns;

use App\Http\Asked;
use App\Week\Week;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\TaskKind;

/** A pattern: the tasks of a week that are not tied to a page, or tasks as a colleague has sent them. The policy stands on the route. */
final class PatternRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $studio = $this->user()?->getAttribute('studio_id');

        return [
            'name' => ['required', 'string', 'max:60', Rule::unique('week_patterns', 'name')->where('studio_id', $studio)],
            'weekId' => ['nullable', 'required_without:tasks', 'integer', Rule::exists('weeks', 'id')->where('studio_id', $studio)],
            'tasks' => ['array', 'min:1', 'max:30'],
            'tasks.*.kind' => ['required', Rule::enum(TaskKind::class)],
            'tasks.*.title' => ['required', 'string', 'max:120'],
            'tasks.*.instruction' => ['present', 'nullable', 'string', 'max:240'],
            'tasks.*.halfMinutes' => ['required', 'integer', 'between:1,240'],
            'tasks.*.repetitions' => ['required', 'integer', 'between:1,99'],
            'tasks.*.mostDays' => ['required', 'integer', 'between:1,7'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.unique' => 'There is a template of this name; choose another.'];
    }

    /** @return list<array{kind: string, title: string, instruction: string, halfMinutes: int, repetitions: int, mostDays: int}> */
    public function tasks(): array
    {
        if (! $this->has('tasks')) {
            return self::ofWeek(Week::query()->with('tasks')->findOrFail($this->integer('weekId')));
        }

        return array_values(array_map(static fn (array $task): array => [
            'kind' => (string) $task['kind'], 'title' => (string) $task['title'], 'instruction' => (string) $task['instruction'],
            'halfMinutes' => (int) $task['halfMinutes'], 'repetitions' => (int) $task['repetitions'], 'mostDays' => (int) $task['mostDays'],
        ], (array) $this->input('tasks')));
    }

    /** @return list<array{kind: string, title: string, instruction: string, halfMinutes: int, repetitions: int, mostDays: int}> */
    private static function ofWeek(Week $week): array
    {
        $tasks = [];
        // Own choice and the run of a concert belong to their week.
        foreach ($week->tasks->whereNull('learning_id')->whereNull('performance_id')->where('kind', '!=', TaskKind::Choice) as $task) {
            $tasks[] = [
                'kind' => $task->kind->value, 'title' => $task->title, 'instruction' => $task->instruction,
                'halfMinutes' => $task->half_minutes, 'repetitions' => $task->repetitions, 'mostDays' => $task->most_days,
            ];
        }

        return $tasks;
    }
}

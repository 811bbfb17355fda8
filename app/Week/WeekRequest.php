<?php

declare(strict_types=1);

namespace App\Week;

use App\Http\Asked;
use Closure;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Score\Hand;

/**
 * A week as the teacher left it. The policy stands on the route.
 *
 * @phpstan-import-type TaskInput from SaveWeek
 */
final class WeekRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tasks' => ['present', 'array', 'max:60'],
            'tasks.*.id' => ['present', 'nullable', 'integer', 'distinct'],
            'tasks.*.kind' => ['required', Rule::enum(TaskKind::class)],
            'tasks.*.title' => ['required', 'string', 'max:120'],
            'tasks.*.instruction' => ['present', 'nullable', 'string', 'max:240'],
            'tasks.*.learningId' => ['present', 'nullable', 'integer', Rule::exists('learnings', 'id')->where('student_id', $this->studentId())],
            'tasks.*.hand' => ['present', 'nullable', Rule::enum(Hand::class)],
            'tasks.*.first' => ['nullable', 'integer', 'between:0,9999'],
            'tasks.*.last' => ['nullable', 'integer', 'between:0,9999'],
            'tasks.*.repetitions' => ['required', 'integer', 'between:1,99'],
            'tasks.*.tempo' => ['present', 'nullable', 'integer', 'between:20,400'],
            'tasks.*.minutes' => ['present', 'nullable', 'numeric', 'between:0.5,120'],
            'tasks.*.starred' => ['required', 'boolean'],
            'tasks.*.mostDays' => ['integer', 'between:0,7'],
            'tasks.*.dates' => ['present', 'array', 'max:60'],
            'tasks.*.dates.*' => ['date_format:Y-m-d', $this->withinTheWeek(...)],
            'tasks.*.locked' => ['array', 'max:60'],
            'tasks.*.locked.*' => ['date_format:Y-m-d', $this->withinTheWeek(...)],
            'tasks.*.off' => ['array', 'max:60'],
            'tasks.*.off.*' => ['date_format:Y-m-d', $this->withinTheWeek(...)],
            'share' => ['nullable', 'integer', 'between:10,200'],
            'justSo' => ['boolean'],
            'sure' => ['boolean'],
        ];
    }

    /** @return list<TaskInput> */
    public function tasks(): array
    {
        return array_values(array_map(static fn (array $task): array => [
            'id' => isset($task['id']) ? (int) $task['id'] : null,
            'kind' => (string) $task['kind'],
            'title' => (string) $task['title'],
            'instruction' => (string) $task['instruction'],
            'learningId' => isset($task['learningId']) ? (int) $task['learningId'] : null,
            'hand' => isset($task['hand']) ? (string) $task['hand'] : null,
            'first' => isset($task['first']) ? (int) $task['first'] : null,
            'last' => isset($task['last']) ? (int) $task['last'] : null,
            'repetitions' => (int) $task['repetitions'],
            'tempo' => isset($task['tempo']) ? (int) $task['tempo'] : null,
            'minutes' => isset($task['minutes']) ? (float) $task['minutes'] : null,
            'starred' => (bool) $task['starred'],
            'mostDays' => (int) ($task['mostDays'] ?? Task::AS_MANY_AS_HELP),
            'dates' => array_values(array_map(strval(...), $task['dates'])),
            'locked' => array_values(array_map(strval(...), $task['locked'] ?? [])),
            'off' => array_values(array_map(strval(...), $task['off'] ?? [])),
        ], (array) $this->input('tasks')));
    }

    private function studentId(): int
    {
        $week = $this->route('week');

        return $week instanceof Week ? $week->student_id : 0;
    }

    private function withinTheWeek(string $attribute, mixed $value, Closure $fail): void
    {
        $week = $this->route('week');
        if ($week instanceof Week && is_string($value) && ($value < $week->starts_on->toDateString() || $value >= $week->ends_on->toDateString())) {
            $fail("{$value} is not a day of this week.");
        }
    }
}

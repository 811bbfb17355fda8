<?php

declare(strict_types=1);

namespace App\Week\Patterns;

use App\Account\User;
use App\Http\Asked;
use App\Week\Week;
use Illuminate\Database\Query\Builder;
use Illuminate\Validation\Rule;

/** Tasks of a week for other students too. The policy stands on the route. */
final class CopiesRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $week = $this->route('week');
        $user = $this->user();
        $only = $user instanceof User ? $user->membership()?->onlyOf() : null;
        $studio = $user?->getAttribute('studio_id');

        return [
            'taskIds' => ['required', 'array', 'min:1', 'max:60'],
            'taskIds.*' => ['integer', Rule::exists('tasks', 'id')->where('week_id', $week instanceof Week ? $week->id : 0)],
            'studentIds' => ['required', 'array', 'min:1', 'max:100'],
            'studentIds.*' => ['integer', Rule::exists('students', 'id')->where(static fn (Builder $student): Builder => $only === null ? $student->where('studio_id', $studio) : $student->where('membership_id', $only))],
        ];
    }
}

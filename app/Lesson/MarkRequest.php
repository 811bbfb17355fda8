<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\LessonVerdict;

/** How a task was heard, the tempo it reached, a note; what is not sent stays. The policy stands on the route. */
final class MarkRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'mark' => ['sometimes', 'nullable', Rule::enum(LessonVerdict::class)],
            'tempoReached' => ['sometimes', 'nullable', 'integer', 'between:20,400'],
            'note' => ['sometimes', 'nullable', 'string', 'max:240'],
        ];
    }
}

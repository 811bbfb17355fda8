<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\LessonVerdict;

/** How a page was heard, and to which stage; no mark takes it back. The policy stands on the route. */
final class PageMarkRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'mark' => ['present', 'nullable', Rule::enum(LessonVerdict::class)],
            'stageId' => ['present', 'nullable', 'integer'],
        ];
    }
}

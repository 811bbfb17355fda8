<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Account\NearDay;
use App\Http\Asked;

/** The day of a lesson. The policy stands on the route. */
final class LessonRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'heldOn' => ['required', 'date_format:Y-m-d', new NearDay()],
        ];
    }
}

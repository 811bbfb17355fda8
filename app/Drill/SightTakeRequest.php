<?php

declare(strict_types=1);

namespace App\Drill;

use App\Http\Asked;
use App\Listening\TakeRequest;

/** A line at sight as it was played. The policy stands on the route. */
final class SightTakeRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['studentId' => ['required', 'integer'], 'date' => ['required', 'date_format:Y-m-d'], ...TakeRequest::ofNotes()];
    }
}

<?php

declare(strict_types=1);

namespace App\Student;

use App\Http\Asked;

/** A student leaves, or returns. The policy stands on the route. */
final class LeaveRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['left' => ['required', 'boolean']];
    }
}

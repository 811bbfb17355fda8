<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** To whom the students of somebody go who leaves; nobody where there are none. The policy stands on the route. */
final class LeaveStudioRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['studentsTo' => ['present', 'nullable', 'integer', Rule::exists('memberships', 'id')->where('studio_id', $this->user()?->getAttribute('studio_id'))]];
    }
}

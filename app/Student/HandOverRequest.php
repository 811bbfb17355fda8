<?php

declare(strict_types=1);

namespace App\Student;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** Who teaches a student from now on. The policy stands on the route. */
final class HandOverRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['memberId' => ['required', 'integer', Rule::exists('memberships', 'id')->where('studio_id', $this->user()?->getAttribute('studio_id'))]];
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** Somebody to be invited. The policy stands on the route. */
final class MemberRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email', 'max:190'],
            'role' => ['required', Rule::enum(Role::class)->except([Role::Owner])],
        ];
    }
}

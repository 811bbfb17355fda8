<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** What somebody may do from now on; *owner* hands the lead over. The policy stands on the route. */
final class RoleRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['role' => ['required', Rule::enum(Role::class)]];
    }
}

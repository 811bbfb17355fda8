<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** A new address, which nobody else has. The policy stands on the route. */
final class EmailRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:190', Rule::unique('users', 'email')],
            'password' => ['required', 'string', 'max:200'],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;

/** Who wants to sign in. The policy stands on the route. */
final class SignInRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:190'],
            'password' => ['required', 'string', 'max:200'],
            'code' => ['sometimes', 'nullable', 'string', 'max:20'],
            'remember' => ['sometimes', 'boolean'],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;
use Illuminate\Validation\Rules\Password;

/** A new password, and the one before. The policy stands on the route. */
final class PasswordRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'current' => ['required', 'string', 'max:200'],
            'password' => ['required', 'string', Password::min(10), 'max:200'],
        ];
    }
}

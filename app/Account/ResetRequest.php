<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;
use Illuminate\Validation\Rules\Password;

/** A new password, by the link of a mail. The policy stands on the route. */
final class ResetRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:190'],
            'token' => ['required', 'string', 'max:100'],
            'password' => ['required', 'string', Password::min(10), 'max:200'],
        ];
    }
}

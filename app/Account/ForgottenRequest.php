<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;

/** Whose password is forgotten. The policy stands on the route. */
final class ForgottenRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:190'],
        ];
    }
}

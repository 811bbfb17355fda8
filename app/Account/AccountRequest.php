<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;

/** The name of an account. The policy stands on the route. */
final class AccountRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'],
        ];
    }
}

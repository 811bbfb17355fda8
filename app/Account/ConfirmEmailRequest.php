<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;

/** The token of a mail. The policy stands on the route. */
final class ConfirmEmailRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string', 'max:100'],
        ];
    }
}

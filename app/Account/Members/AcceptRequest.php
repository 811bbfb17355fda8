<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Http\Asked;
use Illuminate\Validation\Rules\Password;

/** An invitation is accepted by whoever is signed in, or with a name and a password for a new account. */
final class AcceptRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'token' => ['required', 'string', 'max:100'],
            'name' => ['nullable', 'string', 'max:120'],
            'password' => ['nullable', 'string', Password::min(10), 'max:200'],
        ];
    }
}

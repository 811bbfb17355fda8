<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Http\Asked;
use Illuminate\Validation\Rules\Password;

/** An invitation is accepted: by whoever is signed in, by a new account, or by the password of one that is there. */
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

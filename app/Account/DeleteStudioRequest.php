<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Asked;

/** A studio is deleted by the password of whoever leads it. The policy stands on the route. */
final class DeleteStudioRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['password' => ['nullable', 'string', 'max:200']];
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Http\Asked;

/** The link of an invitation. */
final class InvitationRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['token' => ['required', 'string', 'max:100']];
    }
}

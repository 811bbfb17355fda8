<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Account\RegistrationRequest;
use App\Http\Asked;

/** Another studio of whoever is signed in. */
final class OwnStudioRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return RegistrationRequest::ofStudio();
    }
}

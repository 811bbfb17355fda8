<?php

declare(strict_types=1);

namespace App\Account\SecondStep;

use App\Http\Asked;

/** A code of the app. The policy stands on the route. */
final class SecondStepRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['code' => ['required', 'string', 'max:20']];
    }
}

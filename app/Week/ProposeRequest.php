<?php

declare(strict_types=1);

namespace App\Week;

use App\Http\Asked;

/** From which day a week is proposed; today when nothing is said. The policy stands on the route. */
final class ProposeRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'from' => ['nullable', 'date_format:Y-m-d'],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Drill;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Sight\SightWent;

/** How a line at sight went. The policy stands on the route. */
final class SightRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'studentId' => ['required', 'integer'],
            'date' => ['required', 'date_format:Y-m-d'],
            'went' => ['required', Rule::enum(SightWent::class)],
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Student\Learning\Stuck;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\Relief;

/** What the teacher chooses for a stage that is stuck. The policy stands on the route. */
final class ReliefRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['relief' => ['required', Rule::enum(Relief::class)]];
    }
}

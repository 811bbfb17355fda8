<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Practice\LearningState;

/** A piece rests, or is taken up again. The policy stands on the route. */
final class LearningStateRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'state' => ['required', Rule::enum(LearningState::class)->except(LearningState::Finished)],
        ];
    }
}

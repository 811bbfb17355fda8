<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** The piece that a student opens. The policy stands on the route. */
final class LearningRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'pieceId' => ['required', 'integer', Rule::exists('pieces', 'id')->where('studio_id', $this->user()?->studio_id)],
        ];
    }
}

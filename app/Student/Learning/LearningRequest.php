<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** The piece that a student opens, or the page where no music is typed on it. The policy stands on the route. */
final class LearningRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'pieceId' => ['required_without:pageId', 'integer', Rule::exists('pieces', 'id')->where('studio_id', $this->user()?->studio_id)],
            'pageId' => ['nullable', 'integer', Rule::exists('pages', 'id')->where('studio_id', $this->user()?->studio_id)],
        ];
    }
}

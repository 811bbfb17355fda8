<?php

declare(strict_types=1);

namespace App\Student\Family;

use App\Http\Asked;
use Illuminate\Validation\Rule;

/** The other children that a family link opens for. The policy stands on the route. */
final class SiblingsRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'studentIds' => ['present', 'array', 'max:12'],
            'studentIds.*' => ['integer', Rule::exists('students', 'id')->where('studio_id', $this->user()?->getAttribute('studio_id'))],
        ];
    }
}

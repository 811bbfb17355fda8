<?php

declare(strict_types=1);

namespace App\Home;

use App\Http\Asked;
use App\Student\Family\FamilyWord;

/** A parent's word to the teacher; an empty one takes it back. The policy stands on the route. */
final class WordRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'studentId' => ['required', 'integer'],
            'date' => ['required', 'date_format:Y-m-d'],
            'words' => ['present', 'nullable', 'string', 'max:'.FamilyWord::LONGEST],
        ];
    }
}

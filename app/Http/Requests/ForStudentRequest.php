<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Student;
use App\Models\Studio;
use Illuminate\Foundation\Http\FormRequest;

/** Asks for a piece as a student of the studio has it, or as nobody in particular has. The policy stands on the route. */
class ForStudentRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['student' => ['nullable', 'integer']];
    }

    public function student(Studio $studio): ?Student
    {
        return $this->filled('student') ? Student::query()->where('studio_id', $studio->id)->findOrFail($this->integer('student')) : null;
    }
}

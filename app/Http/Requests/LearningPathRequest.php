<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** The path of one page, over the student's. The policy stands on the route. */
final class LearningPathRequest extends FormRequest
{
    use ChoosesPath;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->pathRules();
    }
}

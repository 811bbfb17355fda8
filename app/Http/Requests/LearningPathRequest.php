<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** The path of one page, over the student's. The policy stands on the route. */
final class LearningPathRequest extends Asked
{
    use ChoosesPath;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->pathRules();
    }
}

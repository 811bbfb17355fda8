<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Http\Asked;
use App\Student\ChoosesPath;

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

<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Http\Asked;

/** A report as the teacher left it. The policy stands on the route. */
final class ReportRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:180'],
            'words' => ['required', 'string', 'max:8000'],
        ];
    }

    /** @return list<string> */
    public function lines(): array
    {
        return explode("\n", $this->string('words')->trim()->toString());
    }
}

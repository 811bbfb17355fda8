<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Http\Asked;

/** Whether a letter that was refused is sent again, or left. The policy stands on the route. */
final class MailRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['again' => ['required', 'boolean']];
    }
}

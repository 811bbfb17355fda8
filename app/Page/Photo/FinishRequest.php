<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Http\Asked;

/** Which piece of a picture goes on to be typed, and whether the photo stays with its page. The policy stands on the route. */
final class FinishRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['piece' => ['required', 'integer', 'between:0,99'], 'keep' => ['required', 'boolean']];
    }
}

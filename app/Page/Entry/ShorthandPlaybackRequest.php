<?php

declare(strict_types=1);

namespace App\Page\Entry;

use App\Page\Piece\PlaysBars;

/** What is typed, to be heard. The policy stands on the route. */
final class ShorthandPlaybackRequest extends ShorthandRequest
{
    use PlaysBars;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [...parent::rules(), ...$this->barRules()];
    }
}

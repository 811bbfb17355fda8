<?php

declare(strict_types=1);

namespace App\Sheet;

use App\Http\Asked;
use Nasturtium\Core\Sheet\MakeSheet;

/** How many of a worksheet were right; null where it is only given. The policy stands on the route. */
final class MarkSheetRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['right' => ['present', 'nullable', 'integer', 'between:0,'.MakeSheet::MOST]];
    }
}

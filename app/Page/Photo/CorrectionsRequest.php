<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Formats\Photo\Change;
use Nasturtium\Core\Formats\Photo\Correction;

/** More corrections, or fewer, and which state of them this window has seen. The policy stands on the route. */
final class CorrectionsRequest extends Asked
{
    private const MOST_AT_ONCE = 40;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'revision' => ['required', 'integer', 'min:0', 'max:1000000000'],
            'undo' => ['nullable', 'boolean'],
            'more' => ['present', 'array', 'max:'.self::MOST_AT_ONCE],
            'more.*.change' => ['required', Rule::enum(Change::class)],
            'more.*.piece' => ['nullable', 'integer', 'between:0,99'],
            'more.*.bar' => ['nullable', 'integer', 'between:0,9999'],
            'more.*.staff' => ['nullable', 'integer', 'between:0,9'],
            'more.*.sign' => ['nullable', 'integer', 'between:0,999'],
            'more.*.head' => ['nullable', 'integer', 'between:0,99'],
            'more.*.value' => ['nullable', 'integer', 'between:-9999,9999'],
        ];
    }

    /** @return list<Correction> */
    public function corrections(): array
    {
        return Corrections::of((array) $this->input('more'));
    }
}

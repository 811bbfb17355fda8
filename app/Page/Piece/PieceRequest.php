<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Page\Entry\ReadingRequest;

/** A piece, typed or as a file. The policy stands on the route. */
final class PieceRequest extends ReadingRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'label' => ['present', 'nullable', 'string', 'max:4'],
            'shorthand' => ['required_without:file', 'nullable', 'string', 'max:60000'],
            'file' => ['required_without:shorthand', 'nullable', 'file', 'max:5120'],
            'revision' => ['nullable', 'integer', 'min:0', 'max:1000000000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [...parent::messages(), 'shorthand.required_without' => 'Type a line of music, or choose a file.'];
    }
}

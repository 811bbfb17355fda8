<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A piece, typed or as a file. The policy stands on the route. */
final class PieceRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'label' => ['present', 'nullable', 'string', 'max:4'],
            'shorthand' => ['required_without:file', 'nullable', 'string', 'max:60000'],
            'file' => ['required_without:shorthand', 'nullable', 'file', 'max:5120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.max' => 'The file is over 5 MB. A page of music is far smaller; export this one piece alone.',
            'file.uploaded' => 'The file did not arrive whole; it may be over 5 MB. Export this one piece alone and try again.',
            'shorthand.required_without' => 'Type a line of music, or choose a file.',
        ];
    }
}

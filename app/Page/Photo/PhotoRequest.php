<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Http\Asked;

/** A picture of a page, or a PDF and which of its pages. The policy stands on the route. */
class PhotoRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:16384'],
            'pdfPage' => ['nullable', 'integer', 'between:1,2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a picture, or take one.',
            'file.max' => 'The picture is over 16 MB. A photo of 12 megapixels is plenty.',
            'file.uploaded' => 'The picture did not arrive whole. Send it again.',
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Page;

use App\Http\Asked;

/** A book's archive, or its table of contents. The policy stands on the route. */
final class ArchiveRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:20480']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => 'Choose a file.',
            'file.max' => 'The file is over 20 MB.',
            'file.uploaded' => 'The file did not arrive whole; it may be over 20 MB.',
        ];
    }

    public function bytes(): string
    {
        $path = $this->uploaded();

        return $path === '' ? '' : (string) file_get_contents($path);
    }
}

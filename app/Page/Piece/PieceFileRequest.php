<?php

declare(strict_types=1);

namespace App\Page\Piece;

use App\Http\Asked;

/** Which file is wanted. The policy stands on the route. */
final class PieceFileRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'format' => ['nullable', 'in:musicxml,mxl,mid,txt'],
            'countIn' => ['nullable', 'boolean'],
        ];
    }

    public function fileFormat(): string
    {
        return $this->filled('format') ? $this->string('format')->toString() : 'musicxml';
    }
}

<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Bars of a piece, to be heard. The policy stands on the route. */
final class PiecePlaybackRequest extends FormRequest
{
    use PlaysBars;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->barRules();
    }
}

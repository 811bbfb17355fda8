<?php

declare(strict_types=1);

namespace App\Archive;

use App\Http\Asked;

/** The archive of a backup. The policy stands on the route. */
final class RestoreRequest extends Asked
{
    /** Kilobytes. */
    private const MOST = 512_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.self::MOST]];
    }
}

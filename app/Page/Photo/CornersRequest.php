<?php

declare(strict_types=1);

namespace App\Page\Photo;

use App\Http\Asked;

/** The corners of a page in its picture, as shares of width and height from the upper left one clockwise; none for the whole picture. The policy stands on the route. */
final class CornersRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'corners' => ['present', 'nullable', 'array', 'max:4'],
            'corners.*.x' => ['required', 'numeric', 'between:0,1'],
            'corners.*.y' => ['required', 'numeric', 'between:0,1'],
        ];
    }

    /** @return list<array{float, float}>|null */
    public function points(): ?array
    {
        if ($this->input('corners') === null) {
            return null;
        }
        $number = static fn (mixed $value): float => is_numeric($value) ? (float) $value : 0.0;

        return array_values(array_map(static fn (mixed $point): array => [$number(((array) $point)['x'] ?? 0), $number(((array) $point)['y'] ?? 0)], (array) $this->input('corners')));
    }
}

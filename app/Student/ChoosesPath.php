<?php

declare(strict_types=1);

namespace App\Student;

use Illuminate\Validation\Rule;
use Nasturtium\Core\Path\PathKind;

/** Chooses one of the paths that ship, or one of the studio over it. */
trait ChoosesPath
{
    /** @return array<string, list<mixed>> */
    private function pathRules(): array
    {
        return [
            'path' => ['required', Rule::enum(PathKind::class)],
            'pathId' => ['nullable', 'integer', Rule::exists('paths', 'id')->where('studio_id', $this->user()?->studio_id)],
        ];
    }

    /** @return array{path: string, path_id: int|null} */
    public function pathColumns(): array
    {
        return ['path' => $this->string('path')->toString(), 'path_id' => $this->filled('pathId') ? $this->integer('pathId') : null];
    }
}

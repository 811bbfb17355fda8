<?php

declare(strict_types=1);

namespace App\Student;

use App\Account\CurrentStudio;
use Illuminate\Http\Request;

/** The student of the studio for whom a page is asked: `?student=`. Anything but one of hers is not found. */
final class ForStudent
{
    public function __construct(private readonly Request $request, private readonly CurrentStudio $studio) {}

    public function get(): ?Student
    {
        return $this->request->filled('student')
            ? Student::query()->where('studio_id', $this->studio->get()->id)->findOrFail($this->request->integer('student'))
            : null;
    }
}

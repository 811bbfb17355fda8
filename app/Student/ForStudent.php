<?php

declare(strict_types=1);

namespace App\Student;

use App\Account\CurrentStudio;
use App\Api\QueryParameter;
use Illuminate\Http\Request;

/** The student of the studio for whom a page is asked: `?student=`. Anything but one of hers is not found; an assistant’s are those given to her. */
final class ForStudent implements QueryParameter
{
    public function __construct(private readonly Request $request, private readonly CurrentStudio $studio) {}

    public static function name(): string
    {
        return 'student';
    }

    public function get(): ?Student
    {
        return $this->request->filled(self::name())
            ? $this->studio->member()->among(Student::query())->findOrFail($this->request->integer(self::name()))
            : null;
    }
}

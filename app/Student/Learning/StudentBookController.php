<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Api\Delete;
use App\Api\Put;
use App\Page\Book;
use App\Student\Student;
use Illuminate\Http\JsonResponse;

/** Which books a student is in: what comes next is taken from these alone. */
final class StudentBookController
{
    #[Put('/students/{student}/books/{book}', StudentBookResource::class, many: true)]
    public function update(Student $student, Book $book): JsonResponse
    {
        StudentBooks::enter($student, $book->id);

        return new JsonResponse(StudentBooks::of($student->id));
    }

    #[Delete('/students/{student}/books/{book}', StudentBookResource::class, many: true)]
    public function destroy(Student $student, Book $book): JsonResponse
    {
        StudentBooks::leave($student, $book->id);

        return new JsonResponse(StudentBooks::of($student->id));
    }
}

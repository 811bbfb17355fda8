<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Api\Delete;
use App\Api\Put;
use App\Page\Page;
use App\Student\Student;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Pages that a student leaves out: seasonal ones, or those that are not needed. */
final class SkippedPageController
{
    #[Put('/students/{student}/skipped/{page}', NextPageResource::class, many: true)]
    public function update(Student $student, Page $page): JsonResponse
    {
        DB::table('skipped_pages')->insertOrIgnore(['studio_id' => $student->studio_id, 'student_id' => $student->id, 'page_id' => $page->id]);

        return new JsonResponse(NextPages::of($student->id));
    }

    #[Delete('/students/{student}/skipped/{page}', NextPageResource::class, many: true)]
    public function destroy(Student $student, Page $page): JsonResponse
    {
        DB::table('skipped_pages')->where('student_id', $student->id)->where('page_id', $page->id)->delete();

        return new JsonResponse(NextPages::of($student->id));
    }
}

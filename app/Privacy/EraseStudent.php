<?php

declare(strict_types=1);

namespace App\Privacy;

use App\Student\Student;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Erases a student with all that hangs on them, and what names them elsewhere: mails, patterns, drafts, cached reports. */
final class EraseStudent
{
    /** @param bool $isReplay it was erased before, and came back with a restore */
    public function __invoke(Student $student, bool $isReplay = false): void
    {
        DB::transaction(static function () use ($student): void {
            DB::table('mails')->where('student_id', $student->id)->delete();
            foreach (Mentions::of($student) as $table => $ids) {
                DB::table($table)->whereIn('id', $ids)->delete();
            }
            DB::table('cache')->where('key', 'like', '%'.CachedReports::prefix($student->id).'%')->delete();
            $student->delete();
        });
        // What was packed before has the student in it.
        if (! $isReplay) {
            $packed = DB::table('archives')->where('studio_id', $student->studio_id)->where('kind', 'pack');
            Storage::disk('archives')->delete($packed->pluck('file')->filter()->all());
            $packed->delete();
            Erasures::note($student->studio_id, $student->id);
        }
    }
}

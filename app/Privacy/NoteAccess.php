<?php

declare(strict_types=1);

namespace App\Privacy;

use App\Student\Student;
use Illuminate\Support\Facades\DB;

/** Notes that somebody looked at the data of a student, or took it out: each once a day. */
final class NoteAccess
{
    /** @param string $what of Access::KINDS */
    public static function by(string $who, Student $student, string $what): void
    {
        self::insert([['studio_id' => $student->studio_id, 'student_id' => $student->id, 'who' => mb_substr($who, 0, 120), 'what' => $what, 'on_date' => now()->toDateString()]]);
    }

    /** All students of a studio went out at once. */
    public static function ofStudio(string $who, int $studio): void
    {
        $rows = [];
        foreach (DB::table('students')->where('studio_id', $studio)->pluck('id') as $student) {
            $rows[] = ['studio_id' => $studio, 'student_id' => $student, 'who' => mb_substr($who, 0, 120), 'what' => Access::EXPORT, 'on_date' => now()->toDateString()];
        }
        self::insert($rows);
    }

    /** @param list<array<string, mixed>> $rows */
    private static function insert(array $rows): void
    {
        foreach (array_chunk($rows, 500) as $some) {
            DB::table('accesses')->insertOrIgnore($some);
        }
    }
}

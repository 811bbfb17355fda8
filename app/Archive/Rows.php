<?php

declare(strict_types=1);

namespace App\Archive;

use App\Privacy\Mentions;
use App\Student\Student;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The rows of a studio, or of one student with all that hangs on them, table by table. */
final class Rows
{
    /** Accounts stay where they are: who was in the studio is kept by name, and is invited anew. */
    public const NOT_KEPT = ['memberships' => ['user_id', 'token_hash', 'invited_until']];

    /** @return iterable<string, Builder> by table */
    public static function ofStudio(int $studio): iterable
    {
        foreach (Tables::known() as $table => $refers) {
            $rows = DB::table($table);
            if (Schema::hasColumn($table, 'studio_id')) {
                // Letters about an account hold what opens it.
                yield $table => $rows->where('studio_id', $studio)->when($table === 'mails', static fn (Builder $mail): Builder => $mail->whereNotNull('student_id'));
            } else {
                // A table between two others is the studio's as they are.
                $column = (string) array_key_first($refers);
                yield $table => $rows->whereIn($column, DB::table($refers[$column])->where('studio_id', $studio)->select('id'));
            }
        }
    }

    /** @return iterable<string, Builder> by table */
    public static function ofStudent(Student $student): iterable
    {
        $mentions = Mentions::of($student);
        $mine = ['students' => DB::table('students')->where('id', $student->id)];
        foreach (Tables::known() as $table => $refers) {
            $column = isset($refers['student_id']) ? 'student_id' : array_search(true, array_map(static fn (string $to): bool => isset($mine[$to]) && $to !== 'students', $refers), true);
            if ($table !== 'students' && is_string($column)) {
                $rows = DB::table($table);
                $mine[$table] = $column === 'student_id' ? $rows->where('student_id', $student->id) : $rows->whereIn($column, $mine[$refers[$column]]->clone()->select('id'));
            }
        }
        foreach ($mentions as $table => $ids) {
            $own = isset($mine[$table]) ? $mine[$table]->select('id') : [];
            $mine[$table] = DB::table($table)->where(static fn (Builder $any): Builder => $any->whereIn('id', $ids)->orWhereIn('id', $own));
        }
        yield from $mine;
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Student\Student;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Somebody leaves a studio, or an invitation is taken back. The account stays, for other studios. */
final class LeaveStudio
{
    /**
     * @param  ?int  $to  who teaches the students from then on
     *
     * @throws ValidationException
     */
    public function __invoke(Membership $member, ?int $to): void
    {
        if ($member->role === Role::Owner) {
            throw ValidationException::withMessages(['member' => 'Whoever leads the studio cannot leave it. Hand it over first, or delete it.']);
        }
        $students = Student::query()->where('membership_id', $member->id)->lockForUpdate()->count();
        if ($students > 0 && ($to === null || $to === $member->id)) {
            throw ValidationException::withMessages(['studentsTo' => "{$member->name} still teaches ".($students === 1 ? 'one student' : "{$students} students").'. Choose who teaches from now on.']);
        }
        Student::query()->where('membership_id', $member->id)->update(['membership_id' => $to]);
        DB::table('users')->where('id', $member->user_id)->where('studio_id', $member->studio_id)->update(['studio_id' => null]);
        $member->delete();
        // Whoever belongs to no studio any more has no room to stand in.
        if ($member->user_id !== null && Membership::query()->where('user_id', $member->user_id)->doesntExist()) {
            DB::table('sessions')->where('user_id', $member->user_id)->delete();
        }
    }
}

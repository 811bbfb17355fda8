<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Page\Photo\PhotoLink;
use App\Student\Family\FamilyLink;
use App\Student\Student;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;

/**
 * A row is its studio's alone. Whoever is not of the studio is told that there is no such thing; whoever is, and may not,
 * is told who may.
 */
final class StudioPolicy
{
    private const LEADS = 'Only whoever leads the studio can do this.';

    /** A teacher's: everything of the studio. */
    public function own(User|FamilyLink $who, Model $row): Response
    {
        $member = self::member($who, $row);

        return $member === null ? Response::denyAsNotFound() : self::teaches($member);
    }

    /** Whatever is about one student: a teacher's, or the assistant's to whom the student is given. */
    public function accompany(User|FamilyLink $who, Model&OfStudent $row): Response
    {
        $member = self::member($who, $row);
        $holds = $member !== null && ($member->role->teaches() || Student::query()->whereKey($row->studentId())->where('membership_id', $member->id)->exists());

        return $holds ? Response::allow() : Response::denyAsNotFound();
    }

    /** To be looked at by everybody of the studio: books, pages, music, paths. */
    public function see(User|FamilyLink $who, Model $row): Response
    {
        return self::member($who, $row) === null ? Response::denyAsNotFound() : Response::allow();
    }

    /** Who belongs to the studio, and whether it stays. */
    public function lead(User|FamilyLink $who, Model $row): Response
    {
        $member = self::member($who, $row);

        return match (true) {
            $member === null => Response::denyAsNotFound(),
            $member->role === Role::Owner => Response::allow(),
            default => Response::deny(self::LEADS),
        };
    }

    /** Lists of the own studio. */
    public function work(User|FamilyLink $who): bool
    {
        return $who instanceof User && $who->membership() !== null;
    }

    /** Lists and new rows that are the teachers'. */
    public function teach(User|FamilyLink $who): Response
    {
        $member = $who instanceof User ? $who->membership() : null;

        return $member === null ? Response::deny() : self::teaches($member);
    }

    /** Lists and new rows of whoever leads the studio. */
    public function leadHere(User|FamilyLink $who): Response
    {
        $member = $who instanceof User ? $who->membership() : null;

        return $member?->role === Role::Owner ? Response::allow() : Response::deny(self::LEADS);
    }

    /** A family link sees and ticks the tasks of its own students, once they were sent. */
    public function practise(User|FamilyLink $who, Model $row): Response
    {
        return $who instanceof FamilyLink && $who->opensFor((int) $row->getAttribute('student_id')) ? Response::allow() : Response::denyAsNotFound();
    }

    /** A phone's link to one picture sends that, and nothing else. */
    public function send(User|FamilyLink|PhotoLink $who): bool
    {
        return $who instanceof PhotoLink;
    }

    public function home(User|FamilyLink $who): bool
    {
        return $who instanceof FamilyLink;
    }

    private static function teaches(Membership $member): Response
    {
        return $member->role->teaches() ? Response::allow() : Response::deny('Only a teacher of the studio can do this.');
    }

    private static function member(User|FamilyLink $who, Model $row): ?Membership
    {
        $studio = $row instanceof Studio ? $row->id : $row->getAttribute('studio_id');
        $member = $who instanceof User ? $who->membership() : null;

        return $member?->studio_id === $studio ? $member : null;
    }
}

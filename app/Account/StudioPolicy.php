<?php

declare(strict_types=1);

namespace App\Account;

use App\Student\Family\FamilyLink;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;

/** A row is its studio's alone. Whoever is not of the studio is told that there is no such thing. */
final class StudioPolicy
{
    public function own(User|FamilyLink $who, Model $row): Response
    {
        $studio = $row instanceof Studio ? $row->id : $row->getAttribute('studio_id');

        return $who instanceof User && $who->studio_id === $studio ? Response::allow() : Response::denyAsNotFound();
    }

    /** Lists and new rows are of the teacher's own studio. */
    public function work(User|FamilyLink $who): bool
    {
        return $who instanceof User;
    }

    /** A family link sees and ticks the tasks of its own students, once they were sent. */
    public function practise(User|FamilyLink $who, Model $row): Response
    {
        return $who instanceof FamilyLink && $who->opensFor((int) $row->getAttribute('student_id')) ? Response::allow() : Response::denyAsNotFound();
    }

    public function home(User|FamilyLink $who): bool
    {
        return $who instanceof FamilyLink;
    }
}

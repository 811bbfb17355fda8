<?php

declare(strict_types=1);

namespace App\Account;

/** A row about one student, which an assistant works with where the student is given to her. */
interface OfStudent
{
    public function studentId(): int;
}

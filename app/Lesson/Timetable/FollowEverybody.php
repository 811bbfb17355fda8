<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Queue\EachByItself;
use App\Student\Student;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * After a holiday of the whole studio: each student's week follows it, in a transaction of its own. What a worker that
 * ended had done is done again and stays the same.
 */
final class FollowEverybody implements ShouldQueue
{
    use Queueable;

    /** Students of one job; a school's others are another's, so that letters and photos go in between. */
    public const AT_ONCE = 100;

    public int $tries = 3;

    /** Seconds; a week takes a tenth of one. */
    public int $timeout = 55;

    /** @param int $after students with a greater number */
    public function __construct(private readonly int $studioId, private readonly int $after = 0) {}

    public function handle(FollowTimetable $follow): void
    {
        $next = Student::query()->where('studio_id', $this->studioId)->where('id', '>', $this->after)->orderBy('id');
        $next->limit(self::AT_ONCE);
        $students = $next->get();
        EachByItself::of($students, $follow);
        if ($students->count() === self::AT_ONCE) {
            self::dispatch($this->studioId, $students->last()->id ?? 0);
        }
    }
}

<?php

declare(strict_types=1);

namespace App\Lesson\Timetable;

use App\Http\English;
use App\Lesson\Lesson;
use App\Student\Student;
use App\Student\Timetable\AtOneTime;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Practice\Calendar\LessonHour;
use Nasturtium\Core\Practice\Calendar\LessonState;

/** Moves or cancels a lesson of the timetable, or adds one; the week under way follows. */
final class ChangeLesson
{
    public function __construct(private readonly FollowTimetable $follow) {}

    /** @param array{state: LessonState, slotOn: ?string, heldOn: ?string, at: ?string, minutes: ?int, together: bool} $change */
    public function __invoke(Student $student, array $change): Lesson
    {
        return DB::transaction(function () use ($student, $change): Lesson {
            $slot = $change['state'] === LessonState::MakeUp ? null : $change['slotOn'];
            $held = $change['state'] === LessonState::Cancelled ? $slot : $change['heldOn'];
            $day = CarbonImmutable::parse((string) $slot);
            if ($slot !== null && $student->lessonOnOrAfter($day)->toDateString() !== $slot && ! $this->isChanged($student, $slot)) {
                throw ValidationException::withMessages(['slotOn' => English::weekday($day).' has no lesson in the timetable.']);
            }
            $lesson = $slot === null ? new Lesson() : $this->ofSlot($student, $slot);
            $there = Lesson::query()->where('student_id', $student->id)->where('held_on', $held)->whereKeyNot($lesson->id ?? 0)->exists();
            if ($there || $lesson->finished_at !== null) {
                throw ValidationException::withMessages(['heldOn' => $there ? 'There is a lesson on this day already.' : 'This lesson was held.']);
            }
            if (! $change['together'] && $change['state'] !== LessonState::Cancelled) {
                $on = CarbonImmutable::parse((string) $held);
                AtOneTime::refuseOn($student, $on, new LessonHour($change['at'] ?? $student->timeOf($on, null), $change['minutes'] ?? $student->minutesOn($on)));
            }
            $lesson->fill([
                'studio_id' => $student->studio_id, 'student_id' => $student->id, 'held_on' => $held,
                'state' => $change['state'], 'slot_on' => $slot, 'at' => $change['at'], 'minutes' => $change['minutes'],
            ])->save();
            ($this->follow)($student);

            return $lesson;
        });
    }

    /** What was noted for a lesson goes with it. */
    private function ofSlot(Student $student, string $slot): Lesson
    {
        $lessons = Lesson::query()->where('student_id', $student->id);

        return $lessons->clone()->where('slot_on', $slot)->first() ?? $lessons->where('held_on', $slot)->whereNull('slot_on')->first() ?? new Lesson();
    }

    private function isChanged(Student $student, string $slot): bool
    {
        return $student->changedLessons->contains(static fn (Lesson $lesson): bool => $lesson->slot_on?->toDateString() === $slot);
    }
}

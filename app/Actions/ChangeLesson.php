<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Lesson;
use App\Models\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Moves or cancels a lesson of the timetable, or adds one; the week under way follows. */
final class ChangeLesson
{
    public function __construct(private readonly FollowTimetable $follow) {}

    /** @param array{state: string, slotOn: ?string, heldOn: ?string, at: ?string, minutes: ?int} $change */
    public function __invoke(Student $student, array $change): Lesson
    {
        return DB::transaction(function () use ($student, $change): Lesson {
            $slot = $change['state'] === Lesson::MAKE_UP ? null : $change['slotOn'];
            $held = $change['state'] === Lesson::CANCELLED ? $slot : $change['heldOn'];
            $day = CarbonImmutable::parse((string) $slot);
            if ($slot !== null && $student->lessonOnOrAfter($day)->toDateString() !== $slot && ! $this->isChanged($student, $slot)) {
                throw ValidationException::withMessages(['slotOn' => "{$day->format('l, j F')} has no lesson in the timetable."]);
            }
            $there = Lesson::query()->where('student_id', $student->id)->where('held_on', $held)->first();
            if ($there !== null && ($there->finished_at !== null || ($slot !== null && $there->slot_on?->toDateString() !== $slot && $there->held_on->toDateString() !== $slot))) {
                throw ValidationException::withMessages(['heldOn' => 'There is a lesson on this day already.']);
            }
            if ($slot !== null) {
                Lesson::query()->where('student_id', $student->id)->where('slot_on', $slot)->where('held_on', '!=', $held)->whereNull('finished_at')->delete();
            }
            $lesson = Lesson::query()->updateOrCreate(['student_id' => $student->id, 'held_on' => $held], [
                'studio_id' => $student->studio_id, 'state' => $change['state'], 'slot_on' => $slot, 'at' => $change['at'], 'minutes' => $change['minutes'],
            ]);
            ($this->follow)($student);

            return $lesson;
        });
    }

    private function isChanged(Student $student, string $slot): bool
    {
        return $student->changedLessons->contains(static fn (Lesson $lesson): bool => $lesson->slot_on?->toDateString() === $slot);
    }
}

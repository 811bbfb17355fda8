<?php

declare(strict_types=1);

namespace App\Student\Timetable;

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Http\English;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Validation\ValidationException;
use Nasturtium\Core\Practice\Calendar\LessonHour;
use Nasturtium\Core\Practice\Calendar\LessonState;

/** A teacher hears one lesson at a time, unless she says that two come together. */
final class AtOneTime
{
    /**
     * The lessons of every week, as far as they are other ones than before.
     *
     * @throws ValidationException where another student of the same teacher is heard then
     */
    public static function refuseEveryWeek(Student $student, ?Student $before): void
    {
        if ($before !== null && self::words($before) === self::words($student)) {
            return;
        }
        foreach (self::others($student)->get() as $other) {
            foreach ($student->hours() as $weekday => $hour) {
                $theirs = $other->hours()[$weekday] ?? null;
                if ($theirs?->meets($hour) === true) {
                    self::refuse($other, CarbonImmutable::getDays()[$weekday % 7].'s, '.English::times($theirs->words()));
                }
            }
        }
    }

    /**
     * A lesson on one day.
     *
     * @throws ValidationException where another student of the same teacher is heard then
     */
    public static function refuseOn(Student $student, CarbonImmutable $day, LessonHour $hour): void
    {
        foreach (self::others($student)->with(Student::TIMETABLE)->get() as $other) {
            foreach (LessonsAhead::between($other, $day, $day) as $lesson) {
                $theirs = new LessonHour($lesson->time, $lesson->minutes);
                if ($lesson->state !== LessonState::Cancelled && $theirs->meets($hour)) {
                    self::refuse($other, English::weekday($day).', '.English::times($theirs->words()));
                }
            }
        }
    }

    /** @return array<int, string> */
    private static function words(Student $student): array
    {
        return array_map(static fn (LessonHour $hour): string => $hour->words(), $student->hours());
    }

    /** @return Builder<Student> of the same teacher; those of nobody named are the lead's */
    private static function others(Student $student): Builder
    {
        $lead = Membership::query()->where('studio_id', $student->studio_id)->where('role', Role::Owner)->value('id');
        $others = Student::query()->where('studio_id', $student->studio_id)->whereKeyNot($student->id ?? 0)->whereNull('left_on');
        $others->whereRaw('coalesce(membership_id, ?) = ?', [$lead, $student->membership_id ?? $lead]);

        return $others;
    }

    private static function refuse(Student $other, string $when): never
    {
        throw ValidationException::withMessages([
            'together' => "{$other->name()->short()} has a lesson then: {$when}. Choose another time, or say that they come together.",
        ]);
    }
}

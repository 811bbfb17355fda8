<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Account\OfStudent;
use App\Student\Student;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Nasturtium\Core\Practice\Attendance;
use Nasturtium\Core\Practice\Calendar\LessonState;
use Nasturtium\Core\Practice\Calendar\Timetable;

/**
 * A lesson, which hears the week that ends with it.
 *
 * @property int $id
 * @property int $studio_id
 * @property int $student_id
 * @property ?int $week_id
 * @property CarbonImmutable $held_on
 * @property LessonState $state
 * @property Attendance $attendance
 * @property ?CarbonImmutable $slot_on the day of the timetable that it stands for, when it is not held on it
 * @property ?string $at
 * @property ?int $minutes
 * @property ?string $private_note
 * @property ?string $shared_note
 * @property ?Carbon $finished_at
 * @property ?string $remedies JSON, with the mark of what they follow from
 * @property-read Student $student
 * @property-read ?Week $week
 * @property-read Collection<int, Slip> $slips
 */
final class Lesson extends Model implements OfStudent
{
    protected $guarded = [];

    public function studentId(): int
    {
        return $this->student_id;
    }

    protected $attributes = ['attendance' => Attendance::There->value];

    /**
     * The timetable of a student, from rows as the database has them.
     *
     * @param  list<?int>  $weekdays  1 Monday to 7 Sunday
     * @param  iterable<object{from_on: string, to_on: string, lessons: int}>  $holidays
     * @param  iterable<object{state: string, held_on: string, slot_on: ?string}>  $changes
     */
    public static function timetable(array $weekdays, iterable $holidays, iterable $changes): Timetable
    {
        [$free, $moved, $extra] = [[], [], []];
        foreach ($holidays as $holiday) {
            if (! $holiday->lessons) {
                $free[] = [$holiday->from_on, $holiday->to_on];
            }
        }
        foreach ($changes as $lesson) {
            if ($lesson->slot_on !== null) {
                $moved[$lesson->slot_on] = $lesson->state === LessonState::Cancelled->value ? null : $lesson->held_on;
            } elseif ($lesson->state === LessonState::MakeUp->value) {
                $extra[] = $lesson->held_on;
            }
        }

        return new Timetable(array_values(array_filter($weekdays, static fn (?int $day): bool => $day !== null)), $free, $moved, $extra);
    }

    /** Something of it is noted that would go with it. */
    public function wasBegun(): bool
    {
        return $this->finished_at !== null || ($this->private_note ?? '') !== '' || ($this->shared_note ?? '') !== '' || $this->slips()->exists();
    }

    /** @return BelongsTo<Week, $this> */
    public function week(): BelongsTo
    {
        return $this->belongsTo(Week::class);
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return HasMany<Slip, $this> */
    public function slips(): HasMany
    {
        return $this->hasMany(Slip::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['state' => LessonState::class, 'attendance' => Attendance::class, 'held_on' => 'immutable_date:Y-m-d', 'slot_on' => 'immutable_date:Y-m-d', 'finished_at' => 'datetime'];
    }
}

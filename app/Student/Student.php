<?php

declare(strict_types=1);

namespace App\Student;

use App\Account\OfStudent;
use App\Account\Studio;
use App\Lesson\Lesson;
use App\Student\Family\FamilyLink;
use App\Student\Learning\Learning;
use App\Student\Paths\OwnPath;
use App\Student\Timetable\Holiday;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Nasturtium\Core\Counting\CompoundBeats;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\LongNotes;
use Nasturtium\Core\Path\Path;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Practice\Calendar\LessonHour;
use Nasturtium\Core\Practice\Calendar\LessonState;
use Nasturtium\Core\Practice\Calendar\Timetable;
use Nasturtium\Core\Practice\Enough;
use Nasturtium\Core\Practice\PersonName;
use Nasturtium\Core\Reading\LandmarkLevel;
use Nasturtium\Core\Reading\School;

/**
 * A student of a studio.
 *
 * @property int $id
 * @property int $studio_id
 * @property ?int $membership_id who teaches this student; null: whoever leads the studio
 * @property string $first_name
 * @property string $initial
 * @property int $birth_year
 * @property int $lesson_weekday 1 Monday to 7 Sunday
 * @property string $lesson_time
 * @property int $lesson_minutes
 * @property ?int $second_weekday of a second lesson each week
 * @property ?string $second_time
 * @property ?int $second_minutes
 * @property ?string $timezone where it is not that of the studio
 * @property ?string $family_mail where weeks and reports are sent to
 * @property PathKind $path
 * @property ?int $path_id a path of the studio, over `path`
 * @property School $school
 * @property LandmarkLevel $landmark_level
 * @property bool $heard_passes three clean takes in a row pass a stage
 * @property bool $landmark_middle D3 is a landmark too
 * @property CountingSystem $counting
 * @property CountStyle $count_style
 * @property LongNotes $long_notes
 * @property CompoundBeats $compound_beats
 * @property string $count_ready last words of the count-in
 * @property int $hand_span white keys
 * @property ?int $pace percent of what is reckoned, as the teacher set it; null as it is measured
 * @property ?string $drill_kinds of the practice room, with commas; null for all
 * @property ?string $drill_notes treble:C4,…; null for those of the pages
 * @property ?int $drill_minutes of a session; null by age
 * @property int $drill_answers that are looked at before a note is secure
 * @property int $drill_right percent of them
 * @property int $drill_within milliseconds
 * @property ?CarbonImmutable $consented_on a parent agreed to the home link
 * @property string $consent_words what was said, and by whom
 * @property ?CarbonImmutable $left_on no longer a student
 * @property-read Studio $studio
 * @property-read ?OwnPath $ownPath
 * @property-read Collection<int, PracticeDay> $practiceDays
 * @property-read Collection<int, Learning> $learnings
 * @property-read Collection<int, Week> $weeks
 * @property-read Collection<int, FamilyLink> $familyLinks
 * @property-read Collection<int, Lesson> $lessons
 * @property-read Collection<int, Lesson> $changedLessons
 */
final class Student extends Model implements OfStudent
{
    protected $guarded = [];

    /** As the database has them, for a student who was not read from it yet. */
    protected $attributes = ['heard_passes' => false, 'drill_answers' => Enough::ANSWERS, 'drill_right' => Enough::RIGHT, 'drill_within' => Enough::WITHIN];

    public function studentId(): int
    {
        return $this->id;
    }

    /** The path that this student's pages are opened on. */
    public function way(): Path
    {
        return $this->ownPath?->path() ?? Path::shipped($this->path);
    }

    /** @return BelongsTo<OwnPath, $this> */
    public function ownPath(): BelongsTo
    {
        return $this->belongsTo(OwnPath::class, 'path_id');
    }

    /** A home link is for a child whose parent agreed to it. */
    public function needsConsent(): bool
    {
        return $this->consented_on === null && $this->age($this->studio->today()) < $this->studio->consent_age;
    }

    public function age(CarbonImmutable $today): int
    {
        return max(0, $today->year - $this->birth_year);
    }

    /** When a card of the practice room is secure (trade 10.1). */
    public function enough(): Enough
    {
        return new Enough($this->drill_answers, $this->drill_right, $this->drill_within);
    }

    public const TIMETABLE = ['studio.holidays', 'changedLessons'];

    public function name(): PersonName
    {
        return new PersonName($this->first_name, $this->initial);
    }

    /** Today where the student is. */
    public function today(): CarbonImmutable
    {
        return CarbonImmutable::now($this->timezone ?? $this->studio->timezone)->startOfDay()->shiftTimezone('UTC');
    }

    /** Needs the relations of TIMETABLE. */
    public function timetable(): Timetable
    {
        return Lesson::timetable(
            [$this->lesson_weekday, $this->second_weekday],
            $this->everyHoliday()->map(static fn (Holiday $holiday): object => (object) ['from_on' => $holiday->dates()[0], 'to_on' => $holiday->dates()[1], 'lessons' => (int) $holiday->lessons]),
            $this->changedLessons->map(static fn (Lesson $lesson): object => (object) ['state' => $lesson->state->value, 'held_on' => $lesson->held_on->toDateString(), 'slot_on' => $lesson->slot_on?->toDateString()]),
        );
    }

    /** @return Collection<int, Holiday> of the studio and of this student */
    public function everyHoliday(): Collection
    {
        return $this->studio->holidays->where('student_id', $this->id)->concat($this->studio->holidays->whereNull('student_id'));
    }

    /** The lesson day on or after a day; a week on where there is none in sight. */
    public function lessonOnOrAfter(CarbonImmutable $day): CarbonImmutable
    {
        $this->loadMissing(self::TIMETABLE);
        $next = $this->timetable()->onOrAfter($day->toDateString());

        return $next === null ? $day->addWeek() : CarbonImmutable::parse($next);
    }

    /** When the lesson of a day begins, as 15:30; needs the changed lessons. */
    public function lessonTimeOn(CarbonImmutable $day): string
    {
        return $this->timeOf($day, $this->changedLessons->first(static fn (Lesson $lesson): bool => $lesson->at !== null && $lesson->held_on->equalTo($day)));
    }

    /** How long the lesson of a day is by the timetable. */
    public function minutesOn(CarbonImmutable $day): int
    {
        return ($day->dayOfWeekIso === $this->second_weekday ? $this->second_minutes : null) ?? $this->lesson_minutes;
    }

    /** @return array<int, LessonHour> when the lessons of every week are, by the day of the week */
    public function hours(): array
    {
        $hours = [$this->lesson_weekday => new LessonHour($this->lesson_time, $this->lesson_minutes)];
        if ($this->second_weekday !== null) {
            $hours[$this->second_weekday] = new LessonHour($this->second_time ?? $this->lesson_time, $this->second_minutes ?? $this->lesson_minutes);
        }

        return $hours;
    }

    /** When a lesson begins, as 15:30: as it was changed, or as the timetable has it on that day. */
    public function timeOf(CarbonImmutable $day, ?Lesson $changed): string
    {
        $usual = $day->dayOfWeekIso === $this->second_weekday ? $this->second_time ?? $this->lesson_time : $this->lesson_time;

        return substr($changed->at ?? $usual, 0, 5);
    }

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }

    /** @return HasMany<PracticeDay, $this> */
    public function practiceDays(): HasMany
    {
        return $this->hasMany(PracticeDay::class);
    }

    /** @return HasMany<Learning, $this> */
    public function learnings(): HasMany
    {
        return $this->hasMany(Learning::class);
    }

    /** @return HasMany<Week, $this> */
    public function weeks(): HasMany
    {
        return $this->hasMany(Week::class);
    }

    /** @return HasMany<FamilyLink, $this> */
    public function familyLinks(): HasMany
    {
        return $this->hasMany(FamilyLink::class);
    }

    /** @return HasMany<Lesson, $this> */
    public function lessons(): HasMany
    {
        return $this->hasMany(Lesson::class);
    }

    /** @return HasMany<Lesson, $this> those that the timetable does not have, or has on another day */
    public function changedLessons(): HasMany
    {
        $lessons = $this->hasMany(Lesson::class);
        $lessons->where(static fn (Builder $lesson) => $lesson->whereNotNull('slot_on')->orWhere('state', LessonState::MakeUp));

        return $lessons;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['landmark_level' => LandmarkLevel::class, 'path' => PathKind::class, 'school' => School::class, 'counting' => CountingSystem::class, 'count_style' => CountStyle::class, 'long_notes' => LongNotes::class, 'compound_beats' => CompoundBeats::class, 'landmark_middle' => 'boolean', 'heard_passes' => 'boolean', 'consented_on' => 'immutable_date:Y-m-d', 'left_on' => 'immutable_date:Y-m-d'];
    }
}

<?php

declare(strict_types=1);

namespace App\Demo\Scale;

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Account\User;
use App\Demo\Chance;
use App\Demo\DemoStudio;
use App\Demo\PractiseWeek;
use App\Lesson\Lesson;
use App\Page\Piece\NoteNames;
use App\Page\Piece\StorePiece;
use App\Student\Learning\StudentBooks;
use App\Student\PracticeDay;
use App\Student\Student;
use App\Student\Timetable\Holiday;
use App\Week\CountWeeks;
use App\Week\ProposeWeek;
use App\Week\SentPlan;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Practice\Calendar\LessonState;

/**
 * A studio as large as a school with years behind it, to see that rooms answer as fast as in a small one. It has a
 * teacher of its own; each student is made as a whole, so that one that was broken off goes on where it stopped.
 */
final class ScaledStudio
{
    public const PASSWORD = DemoStudio::PASSWORD;

    /** Of the addresses of its teachers, one for each size. */
    public const HOST = '@longmeadow.example';

    private const NAMES = ['Anouk', 'Bram', 'Celia', 'Dario', 'Edda', 'Fabio', 'Greta', 'Hanno', 'Ines', 'Joris', 'Kaya', 'Levi', 'Malin', 'Nilo', 'Orla', 'Piet', 'Quinn', 'Runa', 'Silas', 'Tilda', 'Uma', 'Vito', 'Wanda', 'Xaver', 'Yuna', 'Zeno'];

    private const SCHOOLS = ['landmark', 'alphabet', 'phrase'];

    private const LESSONS_A_DAY = 12;

    /** Lessons that were moved or cancelled, of a hundred each. */
    private const MOVED = 3;

    private const CANCELLED = 2;

    /** The last lessons were held where the timetable has them. */
    private const SETTLED = 3;

    public function __construct(
        private readonly StorePiece $store,
        private readonly NoteNames $names,
        private readonly ProposeWeek $propose,
    ) {}

    public static function email(int $students, int $years): string
    {
        return "{$students}x{$years}".self::HOST;
    }

    /** @param \Closure(int): void $made after each student that is there, with how many there are */
    public function make(int $students, int $years, CarbonImmutable $today, \Closure $made): void
    {
        $studio = $this->studio($students, $years, $today);
        $there = Student::query()->where('studio_id', $studio->id)->count();
        if ($there >= $students) {
            return;
        }
        $books = new ScaledBooks($studio, $this->store, $this->names);
        for ($number = $there; $number < $students; $number++) {
            DB::transaction(fn () => $this->student($studio, $number, $years, $today, $books));
            $made($number + 1);
        }
        StudentBooks::enterOpened($studio->id);
    }

    private function studio(int $students, int $years, CarbonImmutable $today): Studio
    {
        $teacher = User::query()->where('email', self::email($students, $years))->first();
        if ($teacher !== null) {
            return Studio::query()->findOrFail($teacher->studio_id);
        }

        return DB::transaction(static function () use ($students, $years, $today): Studio {
            $studio = Studio::query()->create(['name' => 'Long Meadow Piano School', 'words' => 'uk', 'paper' => 'a4', 'timezone' => 'UTC']);
            $teacher = User::query()->create(['studio_id' => $studio->id, 'name' => 'Imre Holm', 'email' => self::email($students, $years), 'password' => self::PASSWORD]);
            Membership::of($studio, $teacher, Role::Owner);
            for ($year = $today->year - $years; $year <= $today->year; $year++) {
                foreach ([['Summer', "{$year}-08-01", "{$year}-08-21", false], ['Winter', "{$year}-12-23", ($year + 1).'-01-03', true]] as [$label, $from, $to, $practice]) {
                    Holiday::query()->create(['studio_id' => $studio->id, 'label' => $label, 'from_on' => $from, 'to_on' => $to, 'lessons' => false, 'practice' => $practice]);
                }
            }

            return $studio;
        });
    }

    private function student(Studio $studio, int $number, int $years, CarbonImmutable $today, ScaledBooks $books): void
    {
        $chance = new Chance($number + 1);
        $slot = $number % self::LESSONS_A_DAY;
        $student = Student::query()->create([
            'studio_id' => $studio->id, 'first_name' => self::NAMES[$number % count(self::NAMES)], 'initial' => chr(ord('A') + intdiv($number, count(self::NAMES)) * 7 % 26),
            'birth_year' => $today->year - 5 - $years - $chance->between(0, 8), 'lesson_weekday' => 1 + intdiv($number, self::LESSONS_A_DAY) % 5, 'lesson_time' => sprintf('%02d:%02d', 14 + intdiv($slot, 2), 30 * ($slot % 2)),
            'lesson_minutes' => 30, 'path' => PathKind::cases()[$number % 3]->value, 'school' => self::SCHOOLS[$number % 3], 'landmark_level' => 2, 'hand_span' => 7,
            'consented_on' => $today->subYears($years)->toDateString(), 'consent_words' => 'A parent agreed at the first lesson.',
        ]);
        $minutes = [];
        foreach ([1, 2, 3, 4, 5, 6, 7] as $weekday) {
            if ($chance->happens(75)) {
                $minutes[$weekday] = 5 * $chance->between(3, 6);
            }
        }
        foreach ($minutes as $weekday => $of) {
            PracticeDay::query()->create(['studio_id' => $studio->id, 'student_id' => $student->id, 'weekday' => $weekday, 'minutes' => $of]);
        }
        $care = $chance->between(45, 95);
        $rows = new BulkRows();
        $lessons = $this->lessons($student, $years, $today, $chance);
        (new LivedYears($books, $rows, $chance, $student, $minutes, $care, $chance->between(60, 92)))->live($lessons);
        $rows->write();
        CountWeeks::of(array_values($student->weeks()->pluck('id')->all()));
        $week = ($this->propose)($student, CarbonImmutable::parse($lessons[count($lessons) - 1][0]));
        if ($chance->happens(90)) {
            $week->update(['sent_at' => $week->starts_on->setTime(18, 0)]);
            SentPlan::keep($week);
            (new PractiseWeek($chance))($week, $care, $today);
        }
    }

    /** @return non-empty-list<array{string, string}> the days of the lessons before the next one: held, and of the timetable */
    private function lessons(Student $student, int $years, CarbonImmutable $today, Chance $chance): array
    {
        $next = $student->lessonOnOrAfter($today);
        $slots = $student->timetable()->between($next->subWeeks(52 * $years)->toDateString(), $next->subDay()->toDateString());
        $lessons = [];
        foreach ($slots as $at => $slot) {
            $settled = $at < self::SETTLED || $at >= count($slots) - self::SETTLED;
            if (! $settled && $chance->happens(self::CANCELLED)) {
                Lesson::query()->create(['studio_id' => $student->studio_id, 'student_id' => $student->id, 'held_on' => $slot, 'slot_on' => $slot, 'state' => LessonState::Cancelled]);
            } else {
                $lessons[] = [! $settled && $chance->happens(self::MOVED) ? CarbonImmutable::parse($slot)->addDay()->toDateString() : $slot, $slot];
            }
        }

        return $lessons !== [] ? $lessons : throw new \LogicException('a year has lessons');
    }
}

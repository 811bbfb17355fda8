<?php

declare(strict_types=1);

use App\Account\User;
use App\Demo\Scale\InventedTunes;
use App\Demo\Scale\ScaledStudio;
use App\Lesson\Lesson;
use App\Lesson\Slip;
use App\Student\Learning\Learning;
use App\Student\Learning\NextPages;
use App\Student\Learning\Stage;
use App\Student\Student;
use App\Week\Practice;
use App\Week\Task;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\ReviewSchedule;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;

beforeEach(function (): void {
    $this->today = CarbonImmutable::parse('2031-05-07');
    $this->travelTo($this->today->addHours(10));
    $this->make = fn (int $students, int $years) => app(ScaledStudio::class)->make($students, $years, $this->today, static fn () => null);
    $this->teacher = fn (int $students, int $years): User => User::query()->where('email', ScaledStudio::email($students, $years))->firstOrFail();
});

test('invented tunes can be read, break no rule of a page, and each has a title of its own', function (): void {
    $titles = [];
    for ($number = 1; $number <= 200; $number++) {
        $read = ShorthandReader::read(InventedTunes::tune($number));
        expect($read->errors)->toBe([], InventedTunes::tune($number));
        if ($number % 20 === 0) {
            expect(Breakdown::of($read->piece, new Settings())->checks)->toBe([], InventedTunes::tune($number));
        }
        $titles[] = $read->piece->title;
    }
    expect(array_unique($titles))->toHaveCount(200)->and(InventedTunes::tune(3))->toBe(InventedTunes::tune(3));
});

test('years are lived by the trade: minutes, prerequisites, sign-off, reviews', function (): void {
    ($this->make)(2, 1);
    $studio = ($this->teacher)(2, 1)->studio_id;
    $students = Student::query()->where('studio_id', $studio)->pluck('id');
    expect($students)->toHaveCount(2)
        ->and(Week::query()->whereIn('student_id', $students)->count())->toBeGreaterThan(80)
        ->and(Practice::query()->where('on_date', '>=', $this->today)->count())->toBe(0)
        ->and(Slip::query()->where('studio_id', $studio)->count())->toBeGreaterThan(20)
        ->and(Lesson::query()->whereNotNull('slot_on')->exists())->toBeTrue();
    expect(NextPages::of((int) $students->first()))->not->toBe([]);
    $early = DB::table('stage_waits')->join('stages as later', 'later.id', '=', 'stage_waits.stage_id')->join('stages as earlier', 'earlier.id', '=', 'stage_waits.waits_for_id')
        ->whereNotNull('later.passed_on')->where(fn ($any) => $any->whereNull('earlier.passed_on')->orWhereColumn('earlier.passed_on', '>', 'later.passed_on'))->count();
    $over = DB::table('task_days')->join('tasks', 'tasks.id', '=', 'task_days.task_id')->whereNull('tasks.deleted_at')->groupBy('tasks.student_id', 'task_days.on_date')
        ->join('practice_days', fn ($day) => $day->on('practice_days.student_id', '=', 'tasks.student_id')->whereRaw('practice_days.weekday = weekday(task_days.on_date) + 1'))
        ->havingRaw('sum(tasks.half_minutes) > 2 * max(practice_days.minutes)')->selectRaw('tasks.student_id')->get();
    expect($early)->toBe(0)->and($over)->toHaveCount(0)
        ->and(DB::table('practices')->whereNotExists(fn ($day) => $day->from('task_days')->whereColumn('task_days.task_id', 'practices.task_id')->whereColumn('task_days.on_date', 'practices.on_date'))->count())->toBe(0);
    foreach (Learning::query()->where('studio_id', $studio)->get() as $learning) {
        $open = Stage::query()->where('learning_id', $learning->id)->whereNull('passed_on')->count();
        $reviews = Task::query()->where('learning_id', $learning->id)->where('kind', 'review')->whereNotNull('mark')->orderBy('week_id')->pluck('mark');
        expect($learning->state)->toBe($open === 0 ? LearningState::Finished : LearningState::Current)
            ->and($learning->review_step)->toBe(ReviewSchedule::after($reviews->map(fn (LessonVerdict $mark): bool => $mark === LessonVerdict::Pass)->all()));
    }
});

test('a studio of many years answers in as many queries as one of few', function (): void {
    $asked = function (int $students, int $years): array {
        ($this->make)($students, $years);
        $this->actingAs($teacher = ($this->teacher)($students, $years));
        $lesson = Lesson::query()->where('studio_id', $teacher->studio_id)->whereHas('slips')->whereNotNull('finished_at')->latest('held_on')->firstOrFail();
        $paths = ['this-week', "lessons/{$lesson->id}", "students/{$lesson->student_id}/progress"];
        $ask = fn (string $path): int => queries_of(fn () => $this->getJson("/api/{$path}")->assertOk());
        array_map($ask, $paths);

        return array_map($ask, $paths);
    };
    expect($asked(3, 2))->toBe($asked(1, 1));
});

test('what was broken off goes on where it stopped, and what is there stays', function (): void {
    ($this->make)(2, 1);
    $ids = Student::query()->orderBy('id')->pluck('id');
    Student::query()->whereKey($ids[1])->delete();
    ($this->make)(2, 1);
    $now = Student::query()->orderBy('id')->pluck('id');
    expect($now)->toHaveCount(2)->and($now[0])->toBe($ids[0])->and($now[1])->not->toBe($ids[1]);
    $weeks = Week::query()->count();
    ($this->make)(2, 1);
    expect(Week::query()->count())->toBe($weeks);
});

test('the demo command says which scales there are', function (string $scale): void {
    $this->artisan('nasturtium:demo', ['--scale' => $scale])->expectsOutputToContain('students x years, as 60x5')->assertFailed();
    expect(User::query()->count())->toBe(0);
})->with(['sixty', '60', '0x5', '60x0', '60x11', '501x1', '-1x2', '5x5x5']);

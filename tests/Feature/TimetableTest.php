<?php

declare(strict_types=1);

use App\Lesson\Lesson;
use App\Week\Practice;
use App\Week\ProposeWeek;
use App\Week\Task;
use App\Week\Week;
use Carbon\CarbonImmutable;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Exceptions;
use Illuminate\Support\Str;
use Tests\Fixtures;

/** It is that day for everybody. */
function it_is(string $moment): void
{
    CarbonImmutable::setTestNow($moment);
    Carbon::setTestNow($moment);
}

beforeEach(function (): void {
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->newWeek = fn (): array => $this->postJson("/api/students/{$this->own->student->id}/weeks", [])->assertOk()->json();
    $this->change = fn (array $change) => $this->postJson("/api/students/{$this->own->student->id}/lesson-changes", $change + ['slotOn' => null, 'heldOn' => null, 'at' => null, 'minutes' => null]);
    $this->dates = fn (int $week): array => Task::query()->where('week_id', $week)->with('days')->get()->flatMap->days->map(fn ($day): string => $day->on_date->toDateString())->unique()->sort()->values()->all();
});

test('a lesson that moves takes the end of the week with it, and back', function (): void {
    $week = ($this->newWeek)();
    $ahead = ($this->change)(['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2031-05-14', 'at' => '17:15'])->assertOk()->json();
    expect($ahead[1])->toMatchArray(['date' => '2031-05-14', 'time' => '17:15', 'state' => 'moved', 'slotOn' => '2031-05-12'])
        ->and($this->getJson("/api/weeks/{$week['id']}")->json('endsOn'))->toBe('2031-05-14')
        ->and(($this->dates)($week['id']))->toContain('2031-05-12');
    ($this->change)(['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2031-05-08'])->assertOk();
    expect($this->getJson("/api/weeks/{$week['id']}")->json('endsOn'))->toBe('2031-05-08')
        ->and(max(($this->dates)($week['id'])))->toBe('2031-05-07')
        ->and(Lesson::query()->where('state', 'moved')->count())->toBe(1);
    $lesson = Lesson::query()->where('state', 'moved')->firstOrFail();
    $this->deleteJson("/api/lessons/{$lesson->id}/change")->assertOk()->assertJsonPath('1.date', '2031-05-12');
    expect($this->getJson("/api/weeks/{$week['id']}")->json('endsOn'))->toBe('2031-05-12');
});

test('a cancelled lesson stretches the week, a make-up lesson shortens it', function (): void {
    $week = ($this->newWeek)();
    $ahead = ($this->change)(['state' => 'cancelled', 'slotOn' => '2031-05-12'])->assertOk()->json();
    expect(array_column($ahead, 'state', 'date'))->toMatchArray(['2031-05-12' => 'cancelled', '2031-05-19' => 'held'])
        ->and($this->getJson("/api/weeks/{$week['id']}")->json('days'))->toHaveCount(14);
    ($this->change)(['state' => 'make-up', 'heldOn' => '2031-05-15', 'minutes' => 45])->assertOk()->assertJsonPath('2.minutes', 45);
    expect($this->getJson("/api/weeks/{$week['id']}")->json('endsOn'))->toBe('2031-05-15');
});

test('a change that cannot be is refused in words', function (array $change, string $field, string $says): void {
    ($this->change)($change)->assertJsonPath("errors.{$field}.0", $says);
})->with([
    'no lesson there' => [['state' => 'moved', 'slotOn' => '2031-05-13', 'heldOn' => '2031-05-14'], 'slotOn', 'Tuesday, 13 May has no lesson in the timetable.'],
    'which one' => [['state' => 'cancelled'], 'slotOn', 'Say which lesson it is about.'],
    'where to' => [['state' => 'moved', 'slotOn' => '2031-05-12'], 'heldOn', 'Say on which day it is held.'],
    'a year typed wrongly' => [['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2020-05-14'], 'heldOn', 'Choose a day from 5 May 2030 to 5 May 2032.'],
    'one is there' => [['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2031-05-05'], 'heldOn', 'There is a lesson on this day already.'],
]);

test('a lesson of 2020 is not opened, one a year ago to the day is', function (): void {
    $open = fn (string $heldOn) => $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => $heldOn]);
    $open('2020-05-04')->assertJsonPath('errors.heldOn.0', 'Choose a day from 5 May 2030 to 5 May 2032.');
    $open('2030-05-04')->assertJsonValidationErrors('heldOn');
    $open('2030-05-05')->assertOk();
});

test('a lesson is not moved to the time of another one, unless the two come together', function (): void {
    // Whoever is heard on Wednesdays, from 15:00 to 15:30.
    $this->own->student('Theo', 8)->update(['lesson_weekday' => 3, 'lesson_time' => '15:00', 'lesson_minutes' => 30]);
    $move = fn (array $how) => ($this->change)(['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2031-05-14', ...$how]);
    $move(['at' => '14:31', 'minutes' => 30])->assertJsonPath('errors.together.0', 'Theo T. has a lesson then: Wednesday, 14 May, 15:00 to 15:30. Choose another time, or say that they come together.');
    $move(['at' => '15:00', 'minutes' => 30, 'together' => true])->assertOk();
    $move(['at' => '14:30', 'minutes' => 30])->assertOk();
    $move(['at' => '15:30'])->assertOk();
});

test('a holiday without lessons stretches the week of everybody, one without practice empties its days', function (): void {
    $week = ($this->newWeek)();
    $holiday = ['studentId' => null, 'label' => 'Half term', 'from' => '2031-05-12', 'to' => '2031-05-18', 'lessons' => false, 'practice' => true];
    $id = $this->postJson('/api/holidays', $holiday)->assertOk()->json('id');
    expect($this->getJson("/api/weeks/{$week['id']}")->json('endsOn'))->toBe('2031-05-19');
    $this->postJson('/api/holidays', ['studentId' => $this->own->student->id, 'label' => 'At the sea', 'from' => '2031-05-06', 'to' => '2031-05-08', 'lessons' => true, 'practice' => false])->assertOk();
    $days = array_column($this->getJson("/api/weeks/{$week['id']}")->json('days'), null, 'date');
    expect($days['2031-05-07'])->toMatchArray(['minutes' => 0, 'planned' => 0])->and($days['2031-05-09']['planned'])->toBeGreaterThan(0)
        ->and(array_column($this->getJson('/api/holidays')->json(), 'label'))->toBe(['At the sea', 'Half term', 'Winter'])
        ->and(array_column($this->getJson("/api/students/{$this->own->student->id}")->json('holidays'), 'label'))->toBe(['At the sea', 'Half term', 'Winter']);
    $this->deleteJson("/api/holidays/{$id}")->assertNoContent();
    expect($this->getJson("/api/weeks/{$week['id']}")->json('endsOn'))->toBe('2031-05-12');
});

test('a holiday of the whole studio is followed by the queue, and a week that cannot be planned holds up no other', function (): void {
    $broken = ($this->newWeek)()['id'];
    $otto = $this->own->student('Otto', 9);
    $week = $this->postJson("/api/students/{$otto->id}/weeks", [])->assertOk()->json();
    config(['queue.default' => 'database']);
    $this->postJson('/api/holidays', ['studentId' => null, 'label' => 'Half term', 'from' => $week['endsOn'], 'to' => $week['endsOn'], 'lessons' => false, 'practice' => true])->assertOk();
    expect(DB::table('jobs')->count())->toBe(1)->and(Week::query()->findOrFail($week['id'])->ends_on->toDateString())->toBe($week['endsOn']);
    Week::updating(static fn (Week $of) => $of->id === $broken ? throw new RuntimeException('not this one') : null);
    Exceptions::fake();
    Artisan::call('queue:work', ['connection' => 'database', '--once' => true, '--sleep' => 0]);
    Exceptions::assertReported(static fn (RuntimeException $reason): bool => $reason->getMessage() === 'not this one');
    expect(Week::query()->findOrFail($week['id'])->ends_on->greaterThan($week['endsOn']))->toBeTrue()->and(DB::table('jobs')->count())->toBe(0);
    // One student’s is followed at once.
    Week::flushEventListeners();
    $this->postJson('/api/holidays', ['studentId' => $this->own->student->id, 'label' => 'At the sea', 'from' => '2031-05-12', 'to' => '2031-05-18', 'lessons' => false, 'practice' => true])->assertOk();
    expect(Week::query()->findOrFail($broken)->ends_on->toDateString())->toBe('2031-05-19')->and(DB::table('jobs')->count())->toBe(0);
});

test('a holiday in which nothing rests, or that ends before it begins, is refused', function (): void {
    $this->postJson('/api/holidays', ['studentId' => null, 'label' => 'x', 'from' => '2031-05-12', 'to' => '2031-05-11', 'lessons' => true, 'practice' => true])
        ->assertJsonPath('errors.to.0', 'The last day is before the first.')
        ->assertJsonPath('errors.practice.0', fn (string $says): bool => str_contains($says, 'choose which of them rests'));
});

test('two lessons a week make two short weeks', function (): void {
    $this->own->student->update(['second_weekday' => 4, 'second_time' => '16:00', 'second_minutes' => 20]);
    expect(($this->newWeek)()['endsOn'])->toBe('2031-05-08');
    it_is('2031-05-08 12:00:00');
    expect(($this->newWeek)())->toMatchArray(['startsOn' => '2031-05-08', 'endsOn' => '2031-05-12'])
        ->and($this->getJson("/api/students/{$this->own->student->id}")->json('lessons.0'))->toMatchArray(['date' => '2031-05-08', 'time' => '16:00', 'minutes' => 20]);
});

test('a day that is locked full holds nothing up after missed days: what the teacher put there stays, and the week opens', function (): void {
    $week = Week::query()->findOrFail(($this->newWeek)()['id']);
    $week->update(['sent_at' => now()]);
    // Friday has 15 minutes: 80 % of them are less than what is locked there.
    $task = $week->tasks()->create(['studio_id' => $week->studio_id, 'student_id' => $week->student_id, 'kind' => 'theory', 'title' => 'Draw ten clefs', 'instruction' => '', 'half_minutes' => 26, 'repetitions' => 1, 'most_days' => 1]);
    $task->days()->create(['studio_id' => $week->studio_id, 'on_date' => '2031-05-09', 'position' => 9, 'locked' => true]);
    it_is('2031-05-08 08:00:00');
    $this->getJson('/api/home/week', ['Authorization' => "Bearer {$this->own->token}"])->assertOk();
    app('auth')->forgetGuards();
    $after = $this->actingAs($this->own->teacher, 'web')->getJson("/api/weeks/{$week->id}")->assertOk()->json();
    expect(array_column($after['tasks'], 'dates', 'title')['Draw ten clefs'])->toBe(['2031-05-09']);
});

test('after missed days what is left is planned over the days that are left, once a day, and nothing piles up', function (): void {
    $week = Week::query()->findOrFail(($this->newWeek)()['id']);
    $week->update(['sent_at' => now()]);
    it_is('2031-05-08 08:00:00');
    $before = $week->tasks()->with('days')->get()->flatMap->days->filter(fn ($day): bool => $day->on_date->toDateString() < '2031-05-08')->count();
    $home = $this->getJson('/api/home/week', ['Authorization' => "Bearer {$this->own->token}"])->assertOk()->json();
    app('auth')->forgetGuards();
    $after = $this->actingAs($this->own->teacher, 'web')->getJson("/api/weeks/{$week->id}")->json();
    // Monday to Wednesday were missed: the first stage, which the others wait for, is met now; no day is overfull.
    expect(array_column($home['tasks'], 'title'))->toContain('Look over')
        ->and($after['plannedOn'])->toBe('2031-05-08')
        ->and($week->tasks()->with('days')->get()->flatMap->days->filter(fn ($day): bool => $day->on_date->toDateString() < '2031-05-08')->count())->toBe($before);
    foreach ($after['days'] as $day) {
        expect($day['planned'])->toBeLessThanOrEqual($day['minutes']);
    }
    expect(queries_of(fn () => $this->getJson("/api/weeks/{$week->id}")))->toBeLessThan(20);
});

test('a week that missed nothing stays as it is', function (): void {
    $week = Week::query()->findOrFail(($this->newWeek)()['id']);
    foreach ($week->tasks()->with('days')->get() as $task) {
        foreach ($task->days->filter(fn ($day): bool => $day->on_date->toDateString() === '2031-05-05') as $day) {
            Practice::query()->create(['studio_id' => $week->studio_id, 'student_id' => $week->student_id, 'task_id' => $task->id, 'on_date' => '2031-05-05', 'repetitions' => 1, 'feeling' => 'fine', 'client_key' => (string) Str::uuid()]);
        }
    }
    $days = $this->getJson("/api/weeks/{$week->id}")->json('days');
    it_is('2031-05-06 08:00:00');
    expect($this->getJson("/api/weeks/{$week->id}")->json('days'))->toBe($days);
});

test('a student in another time zone has their own today', function (): void {
    $this->own->student->update(['timezone' => 'Pacific/Auckland']);
    Week::query()->whereKey(app(ProposeWeek::class)($this->own->student, CarbonImmutable::parse(Fixtures::MONDAY))->id)->update(['sent_at' => now()]);
    $day = fn (): array => $this->getJson('/api/home/week', ['Authorization' => "Bearer {$this->own->token}"])->json();
    it_is('2031-05-05 11:59:00');
    expect($day()['date'])->toBe('2031-05-05');
    it_is('2031-05-05 12:01:00');
    expect($day()['date'])->toBe('2031-05-06');
});

test('the week in which the clocks change has seven days', function (): void {
    $this->own->studio->update(['timezone' => 'Europe/Berlin']);
    $week = app(ProposeWeek::class)($this->own->student->refresh(), CarbonImmutable::parse('2031-03-24'));
    expect(array_column($this->getJson("/api/weeks/{$week->id}")->json('days'), 'date'))->toBe(['2031-03-24', '2031-03-25', '2031-03-26', '2031-03-27', '2031-03-28', '2031-03-29', '2031-03-30']);
});

test('what was noted for a lesson goes with it when it moves, and is not lost when a change is taken back', function (): void {
    $ahead = $this->postJson("/api/students/{$this->own->student->id}/lessons", ['heldOn' => '2031-05-12'])->assertOk()->json('id');
    $this->patchJson("/api/lessons/{$ahead}", ['privateNote' => 'Bring the duet.'])->assertOk();
    ($this->change)(['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2031-05-14'])->assertOk();
    ($this->change)(['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2031-05-15'])->assertOk();
    expect($this->getJson("/api/lessons/{$ahead}")->json())->toMatchArray(['heldOn' => '2031-05-15', 'privateNote' => 'Bring the duet.'])
        ->and($this->deleteJson("/api/lessons/{$ahead}/change")->assertUnprocessable()->json('errors.lesson.0'))->toContain('what was noted would be lost');
    $this->patchJson("/api/lessons/{$ahead}", ['privateNote' => '']);
    $this->deleteJson("/api/lessons/{$ahead}/change")->assertOk();
    expect(Lesson::query()->whereKey($ahead)->exists())->toBeFalse();
});

test('a lesson that was held is not moved any more', function (): void {
    Lesson::query()->create(['studio_id' => $this->own->studio->id, 'student_id' => $this->own->student->id, 'held_on' => '2031-05-12', 'finished_at' => now()]);
    ($this->change)(['state' => 'moved', 'slotOn' => '2031-05-12', 'heldOn' => '2031-05-14'])->assertJsonPath('errors.heldOn.0', 'This lesson was held.');
});

test('over a long holiday the first days are planned, and the week is no longer than it may be', function (): void {
    $own = $this->own;
    $own->student->practiceDays()->delete();
    foreach (range(1, 7) as $weekday) {
        $own->student->practiceDays()->create(['studio_id' => $own->studio->id, 'weekday' => $weekday, 'minutes' => 30]);
    }
    $holiday = fn (string $to) => $this->postJson('/api/holidays', ['studentId' => $own->student->id, 'label' => 'Abroad', 'from' => '2031-05-06', 'to' => $to, 'lessons' => false, 'practice' => true]);
    $holiday('2033-07-15')->assertUnprocessable()->assertJsonPath('errors.to.0', 'A holiday lasts 800 days at most. Enter the rest as another one.');
    $holiday('2033-07-14')->assertOk();
    $week = $this->postJson("/api/students/{$own->student->id}/weeks", ['from' => '2031-05-05'])->assertOk()->json();
    $planned = array_unique(array_merge(...array_column($week['tasks'], 'dates')));
    expect(count($week['days']))->toBeLessThanOrEqual(201)->and($planned)->not->toBe([])->and(max($planned))->toBeLessThanOrEqual('2031-06-05');
});

test('another lesson day takes the week under way along', function (): void {
    $week = $this->postJson("/api/students/{$this->own->student->id}/weeks", ['from' => Fixtures::MONDAY])->assertOk()->json();
    expect($week['endsOn'])->toBe('2031-05-12');
    $detail = $this->getJson("/api/students/{$this->own->student->id}")->json('student');
    $this->putJson("/api/students/{$this->own->student->id}", ['lessonWeekday' => 4] + $detail)->assertOk();
    expect($this->getJson("/api/weeks/{$week['id']}")->json('endsOn'))->toBe('2031-05-08');
});

<?php

declare(strict_types=1);

use App\Watch\Readiness;
use App\Week\CatchUp;
use App\Week\Overnight\BehindWeeks;
use App\Week\Overnight\CatchUpStudio;
use App\Week\ProposeWeek;
use App\Week\SentPlan;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\Fixtures;

/*
 * What missed days leave is planned again by night, by the queue, before anybody looks.
 */

beforeEach(function (): void {
    config(['queue.default' => 'database']);
    $this->own = new Fixtures();
    $this->week = app(ProposeWeek::class)($this->own->student, CarbonImmutable::parse(Fixtures::MONDAY));
    $this->week->update(['sent_at' => now()]);
    SentPlan::keep($this->week);
    $this->at = static function (string $moment): string {
        CarbonImmutable::setTestNow($moment);
        Carbon::setTestNow($moment);
        Artisan::call('nasturtium:replan');

        return Artisan::output();
    };
    $this->night = static fn () => Artisan::call('queue:work', ['connection' => 'database', '--queue' => CatchUpStudio::QUEUE, '--stop-when-empty' => true, '--sleep' => 0, '--memory' => 4096]);
    $this->planned = fn (): ?string => $this->week->refresh()->planned_on?->toDateString();
    $this->dates = fn (): array => $this->week->tasks()->with('days')->get()->flatMap->days->map(static fn ($day): string => "{$day->task_id} {$day->on_date->toDateString()}")->sort()->values()->all();
});

test('from three in the morning on, and once a day', function (): void {
    expect(($this->at)('2031-05-08 02:59:00'))->toContain('again: 0.')
        ->and(($this->at)('2031-05-08 03:00:00'))->toContain('again: 1.');
    $before = ($this->dates)();
    ($this->night)();
    $after = ($this->dates)();
    expect(($this->planned)())->toBe('2031-05-08')
        ->and($after)->not->toBe($before)
        // The family has it as if it had been sent so.
        ->and(SentPlan::changes($this->week->load(SentPlan::RELATIONS)))->toBe([])
        ->and(($this->at)('2031-05-08 04:00:00'))->toContain('again: 0.');
    // Whoever looks in the morning finds it done.
    app(CatchUp::class)($this->week, CarbonImmutable::parse('2031-05-08'));
    expect(($this->dates)())->toBe($after)
        ->and(($this->at)('2031-05-09 03:00:00'))->toContain('again: 1.');
});

test('the night is where the student is', function (): void {
    $this->own->student->update(['timezone' => 'Pacific/Auckland']);
    // In May it is twelve hours later there.
    expect(($this->at)('2031-05-07 14:59:00'))->toContain('again: 0.')
        ->and(($this->at)('2031-05-07 15:00:00'))->toContain('again: 1.');
    ($this->night)();
    expect(($this->planned)())->toBe('2031-05-08');
});

test('a job done twice, or begun again after a worker ended, plans once; one of a studio waits at a time', function (): void {
    ($this->at)('2031-05-08 03:00:00');
    ($this->at)('2031-05-08 03:30:00');
    expect(DB::table('jobs')->count())->toBe(1);
    ($this->night)();
    $after = ($this->dates)();
    app()->call([new CatchUpStudio($this->own->studio->id), 'handle']);
    expect(($this->dates)())->toBe($after);
});

test('weeks that are over, that begin today or whose student has left are let be', function (array $change, array $student): void {
    $this->week->update($change);
    $this->own->student->update($student);
    expect(($this->at)('2031-05-08 03:00:00'))->toContain('again: 0.');
})->with([
    'ends today' => [['ends_on' => '2031-05-08'], []],
    'begins today' => [['starts_on' => '2031-05-08', 'planned_on' => null], []],
    'has left' => [[], ['left_on' => '2031-05-07']],
]);

test('a week that cannot be planned keeps the others from nothing, and is tried again', function (): void {
    $other = app(ProposeWeek::class)($this->own->student('Theo', 8), CarbonImmutable::parse(Fixtures::MONDAY));
    DB::table('tasks')->where('week_id', $this->week->id)->limit(1)->update(['kind' => 'odd']);
    $told = [];
    app(ExceptionHandler::class)->reportable(function (Throwable $reason) use (&$told): bool {
        $told[] = $reason;

        return false;
    });
    ($this->at)('2031-05-08 03:00:00');
    ($this->night)();
    expect($other->refresh()->planned_on?->toDateString())->toBe('2031-05-08')
        ->and(($this->planned)())->toBe('2031-05-05')
        ->and($told)->toHaveCount(1)->and($told[0])->toBeInstanceOf(ValueError::class)
        ->and(array_keys(BehindWeeks::of($this->own->studio->id, 10)))->toBe([$this->week->id]);
});

test('a tick from a phone that had no connection takes back what the night moved because of it', function (): void {
    $days = fn (): array => $this->week->tasks()->with('days')->get()->flatMap(static fn ($task) => $task->days->map(static fn ($day): array => [$task->id, $day->on_date->toDateString(), $day->halfMinutesOf($task->half_minutes)]))->sort()->values()->all();
    $ticked = array_values(array_filter($days(), static fn (array $day): bool => $day[1] === Fixtures::MONDAY));
    $load = static fn (): int => array_sum(array_map(static fn (array $day): int => $day[1] > Fixtures::MONDAY && in_array($day[0], array_column($ticked, 0), true) ? $day[2] : 0, $days()));
    ($this->at)('2031-05-06 03:00:00');
    ($this->night)();
    $byNight = $load();
    $tick = fn (int $task) => $this->putJson("/api/home/tasks/{$task}/practice", ['date' => Fixtures::MONDAY, 'repetitions' => 1, 'feeling' => 'fine', 'clientKey' => (string) Str::uuid(), 'tempo' => null, 'seconds' => null, 'note' => ''], ['Authorization' => "Bearer {$this->own->token}"])->assertOk();
    foreach ($ticked as [$task]) {
        $tick($task);
    }
    $after = $days();
    expect($load())->toBeLessThan($byNight)
        ->and(SentPlan::changes($this->week->refresh()->load(SentPlan::RELATIONS)))->toBe([]);
    // Sent again, as by a phone that did not hear the answer, it moves nothing.
    $tick($ticked[0][0]);
    expect($days())->toBe($after);
});

test('what waits for the night is no sign that no worker runs', function (): void {
    ($this->at)('2031-05-08 03:00:00');
    Carbon::setTestNow('2031-05-08 08:00:00');
    Readiness::forget();
    $this->getJson('/ready')->assertOk();
    DB::table('jobs')->update(['queue' => 'default']);
    Readiness::forget();
    $this->getJson('/ready')->assertStatus(503)->assertJsonPath('queue', false);
});

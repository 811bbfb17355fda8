<?php

declare(strict_types=1);

use App\Account\Members\Membership;
use App\Account\Members\Role;
use App\Account\Studio;
use App\Demo\Demo;
use App\Demo\DemoStudio;
use App\Demo\MakeDemo;
use App\Queue\WorkState;
use App\Student\Student;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Fixtures;

/*
 * A demo studio beside one's own, by the queue: begun once, told as it goes on, stopped, done twice and still once.
 */

beforeEach(function (): void {
    config(['queue.default' => 'database']);
    $this->own = new Fixtures();
    $this->actingAs($this->own->teacher);
    $this->work = static fn () => Artisan::call('queue:work', ['connection' => 'database', '--once' => true, '--sleep' => 0]);
    $this->demos = static fn () => Studio::query()->where('is_demo', true);
});

test('it is begun once, made by the queue and entered; the job done again makes no second one', function (): void {
    expect($this->getJson('/api/account/demo')->assertOk()->json())->toBe([]);
    $this->postJson('/api/account/demo')->assertOk()->assertJson(['state' => 'waiting', 'studioId' => null]);
    $this->postJson('/api/account/demo')->assertOk()->assertJson(['state' => 'waiting']);
    expect(DB::table('jobs')->count())->toBe(1)->and(($this->demos)()->exists())->toBeFalse();
    $told = [];
    DB::listen(static function ($query) use (&$told): void {
        if (str_starts_with($query->sql, 'update `demos`') && $query->bindings[0] === 'working') {
            $told[] = [$query->bindings[1], $query->bindings[2]];
        }
    });
    ($this->work)();
    $studio = ($this->demos)()->sole();
    expect($told[0])->toBe([0, 5])->and(array_column($told, 0))->toBe(array_unique(array_column($told, 0)))
        ->and($this->getJson('/api/account/demo')->json('0'))->toMatchArray(['state' => 'done', 'studioId' => $studio->id, 'reason' => ''])
        ->and(Student::query()->where('studio_id', $studio->id)->count())->toBe(5);
    (new MakeDemo(Demo::query()->sole()->id))->handle(app(DemoStudio::class));
    expect(($this->demos)()->count())->toBe(1)->and($this->postJson('/api/account/demo')->json('studioId'))->toBe($studio->id)->and(DB::table('jobs')->count())->toBe(0);
    $this->putJson('/api/session/studio', ['studioId' => $studio->id])->assertOk()->assertJson(['isDemo' => true, 'role' => 'owner']);
    // Where it stands it is not stopped, and nobody else has one by it.
    $this->deleteJson('/api/account/demo')->assertNoContent();
    expect(Demo::query()->count())->toBe(1);
    $this->actingAs($this->own->joined(Role::Teacher, 'Tara'))->getJson('/api/account/demo')->assertExactJson([]);
});

test('it is stopped before it begins, and while it is made, and nothing of it is left', function (): void {
    $this->postJson('/api/account/demo');
    $this->deleteJson('/api/account/demo')->assertNoContent();
    ($this->work)();
    expect(($this->demos)()->exists())->toBeFalse();
    $this->postJson('/api/account/demo');
    DB::listen(static function ($query): void {
        if (str_starts_with($query->sql, 'insert into `lessons`')) {
            DB::table('demos')->delete();
        }
    });
    ($this->work)();
    expect(Studio::query()->count())->toBe(1)->and(Student::query()->count())->toBe(1)->and(DB::table('jobs')->count())->toBe(0);
});

test('one that could not be made says so, and is begun again', function (): void {
    $this->postJson('/api/account/demo');
    $demo = Demo::query()->sole();
    (new MakeDemo($demo->id))->failed(null);
    expect($this->getJson('/api/account/demo')->json('0'))->toMatchArray(['state' => 'refused'])->and($demo->refresh()->reason)->toStartWith('It could not be made.');
    $this->postJson('/api/account/demo')->assertJson(['state' => 'waiting', 'reason' => '']);
});

test('one that was made before it was written down is not made twice', function (): void {
    $studio = Studio::query()->create(['name' => 'Windowsill', 'is_demo' => true]);
    Membership::of($studio, $this->own->teacher, Role::Owner);
    $this->postJson('/api/account/demo')->assertJson(['state' => 'done', 'studioId' => $studio->id]);
    expect(DB::table('jobs')->count())->toBe(0)->and(Demo::query()->sole()->state)->toBe(WorkState::Done);
});

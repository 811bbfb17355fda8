<?php

declare(strict_types=1);

use App\Account\User;
use Illuminate\Support\Facades\DB;
use Tests\Fixtures;

test('a teacher signs in and out', function (): void {
    $own = new Fixtures();
    $this->postJson('/api/session', ['email' => 'north@studio.example', 'password' => 'secret-word'])
        ->assertOk()->assertJsonPath('studio.name', 'north')->assertJsonPath('studio.today', Fixtures::MONDAY);
    $this->assertAuthenticatedAs($own->teacher);
    $this->deleteJson('/api/session')->assertNoContent();
    $this->assertGuest();
});

test('a wrong password says so without saying which, and is throttled', function (): void {
    new Fixtures();
    for ($try = 1; $try <= 5; $try++) {
        $this->postJson('/api/session', ['email' => 'north@studio.example', 'password' => 'wrong'])
            ->assertUnprocessable()->assertJsonPath('errors.password.0', 'The email address and the password do not go together. Check both and try again.');
    }
    $this->postJson('/api/session', ['email' => 'north@studio.example', 'password' => 'secret-word'])->assertTooManyRequests();
});

test('passwords and tokens are kept as hashes', function (): void {
    $own = new Fixtures();
    expect($own->teacher->getRawOriginal('password'))->not->toContain('secret-word')
        ->and($own->link->token_hash)->not->toContain($own->token)->toHaveLength(64);
});

test('writing without the token of the page is refused', function (): void {
    $own = new Fixtures();
    $this->app['env'] = 'production';
    $this->actingAs($own->teacher)->post('/api/books', ['title' => 'x', 'level' => ''], ['Accept' => 'application/json'])->assertStatus(419);
});

test('a tick from home needs no token of the page: its link proves it', function (): void {
    $own = new Fixtures();
    $this->app['env'] = 'production';
    $this->put("/api/home/tasks/{$own->task('Warm-up')->id}/practice", [], ['Accept' => 'application/json', 'Authorization' => "Bearer {$own->token}"])->assertStatus(422);
});

test('the settings of the studio are changed', function (): void {
    $own = new Fixtures();
    $change = ['name' => 'New name', 'words' => 'uk', 'paper' => 'letter', 'timezone' => 'Pacific/Auckland'];
    $this->actingAs($own->teacher)->patchJson("/api/studios/{$own->studio->id}", $change)->assertOk()->assertJson($change);
    $this->patchJson("/api/studios/{$own->studio->id}", ['timezone' => 'Nowhere'] + $change)->assertJsonValidationErrors('timezone');
});

test('today is the date where the studio is', function (): void {
    $own = new Fixtures();
    $own->studio->update(['timezone' => 'Pacific/Kiritimati']);
    $this->actingAs($own->teacher)->getJson('/api/session')->assertJsonPath('studio.today', '2031-05-06');
});

test('a session is written when it has changed or a minute has passed, and only then', function (): void {
    config(['session.driver' => 'database']);
    $writes = function (Closure $ask): int {
        $count = 0;
        DB::listen(function ($query) use (&$count): void {
            $count += preg_match('/^(insert into|update) `sessions`/', $query->sql);
        });
        $ask();

        return $count;
    };
    $session = app('session')->driver('database');
    $begin = function () use ($session): void {
        $session->setId(str_repeat('a', 40));
        $session->start();
    };
    $begin();
    $session->put('word', 'one');
    expect($writes(fn () => $session->save()))->toBeGreaterThan(0);
    $begin();
    expect($writes(fn () => $session->save()))->toBe(0);
    $begin();
    $session->put('word', 'two');
    expect($writes(fn () => $session->save()))->toBeGreaterThan(0);
    $begin();
    expect($session->get('word'))->toBe('two');
    $this->travel(61)->seconds();
    $begin();
    expect($writes(fn () => $session->save()))->toBeGreaterThan(0);
});

test('looking around writes no session', function (): void {
    config(['session.driver' => 'database']);
    new Fixtures();
    $session = $this->postJson('/api/session', ['email' => 'north@studio.example', 'password' => 'secret-word'])->assertOk()->getCookie(config('session.cookie'));
    $this->withCredentials()->withCookie(config('session.cookie'), $session->getValue());
    foreach (['session', 'books', 'students', 'this-week'] as $place => $path) {
        app('auth')->forgetGuards();
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->getJson("/api/{$path}")->assertOk();
        $written = array_filter(array_column(DB::getQueryLog(), 'query'), fn (string $query): bool => preg_match('/^(insert|update) .*sessions/', $query) === 1);
        // The one after signing in has the marks of the new session to put by.
        expect($place === 0 ? [] : $written)->toBe([], $path);
    }
});

test('a session stays of the teacher who signed in, also while her browser looks at the home side of a family', function (): void {
    config(['session.driver' => 'database']);
    $own = new Fixtures();
    $this->postJson('/api/session', ['email' => 'north@studio.example', 'password' => 'secret-word'])->assertOk();
    $session = DB::table('sessions')->where('user_id', $own->teacher->id)->sole();
    // A link whose number is another account's, and a minute later, so that the session is written.
    $other = User::query()->create(['studio_id' => $own->studio->id, 'name' => 'Other', 'email' => 'other@studio.example', 'password' => 'secret-word']);
    $own->link->newQuery()->whereKey($own->link->id)->update(['id' => $other->id]);
    DB::table('sessions')->update(['last_activity' => now()->getTimestamp() - 61]);
    app('auth')->forgetGuards();
    app('session')->forgetDrivers();
    $cookie = config('session.cookie');
    $this->withCredentials()->withCookie($cookie, $session->id)->getJson('/api/home/week', ['Authorization' => "Bearer {$own->token}"])->assertOk();
    $after = DB::table('sessions')->where('id', $session->id)->sole();
    expect($after->last_activity)->toBe(now()->getTimestamp())
        ->and($after->user_id)->toBe($own->teacher->id);
});

<?php

declare(strict_types=1);

use App\Account\Letters\Mail as KeptMail;
use App\Account\SecondStep\OneTimeCode;
use App\Account\SecondStep\SecondStep;
use App\Account\Studio;
use App\Account\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Tests\Fixtures;

/** @return array<string, string> */
function a_first_account(array $change = []): array
{
    return [...['name' => 'Odile Fenn', 'studio' => 'Window Studio', 'email' => 'odile@window.example', 'password' => 'a long enough one', 'country' => 'NZ', 'timezone' => 'Pacific/Chatham'], ...$change];
}

/** The token in the address of the last mail, by the name it has there. */
function token_of_mail(string $name): string
{
    preg_match("/[?&]{$name}=([\\w%-]+)/", KeptMail::query()->latest('id')->firstOrFail()->body, $found);

    return urldecode($found[1]);
}

test('the first account makes its studio, with what its country has; the second is refused unless it is open', function (): void {
    $this->getJson('/api/welcome')->assertOk()->assertJson(['isEmpty' => true, 'isOpen' => true]);
    $this->postJson('/api/studios', a_first_account())->assertOk()->assertJson(['name' => 'Odile Fenn', 'studio' => ['name' => 'Window Studio', 'words' => 'uk', 'paper' => 'a4', 'timezone' => 'Pacific/Chatham']]);
    $this->assertAuthenticated();
    $this->getJson('/api/session')->assertJsonPath('email', 'odile@window.example');
    app('auth')->forgetGuards();
    $this->getJson('/api/welcome')->assertJson(['isEmpty' => false, 'isOpen' => false]);
    $this->postJson('/api/studios', a_first_account(['email' => 'other@window.example']))->assertJsonValidationErrors('email');
    config(['nasturtium.registration' => true]);
    $this->postJson('/api/studios', a_first_account(['email' => 'other@window.example', 'country' => 'US', 'timezone' => 'Europe/Paris']))->assertOk();
    expect(Studio::query()->latest('id')->firstOrFail()->only(['words', 'paper', 'timezone']))->toMatchArray(['timezone' => 'America/New_York'])
        ->and(Studio::query()->latest('id')->firstOrFail()->paper->value)->toBe('letter');
});

test('what is wrong with a first account is said by its field', function (string $field, string $value): void {
    $this->postJson('/api/studios', a_first_account([$field => $value]))->assertJsonValidationErrors($field);
    expect(User::query()->exists())->toBeFalse();
})->with([['email', 'nobody'], ['password', 'short'], ['country', 'XX'], ['studio', ''], ['timezone', 'Nowhere']]);

test('name and password are changed, the password against the one before', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $this->patchJson('/api/account', ['name' => ' Odile F. '])->assertJson(['name' => 'Odile F.', 'codesLeft' => null]);
    $this->putJson('/api/account/password', ['current' => 'wrong', 'password' => 'a new long one'])->assertJsonValidationErrors('current');
    $this->putJson('/api/account/password', ['current' => 'secret-word', 'password' => 'a new long one'])->assertOk();
    expect(Hash::check('a new long one', $own->teacher->refresh()->password))->toBeTrue();
});

test('an address is another once its mail is answered, and not by any other token', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $this->putJson('/api/account/email', ['email' => 'new@studio.example', 'password' => 'wrong'])->assertJsonValidationErrors('password');
    $this->putJson('/api/account/email', ['email' => 'new@studio.example', 'password' => 'secret-word'])->assertJson(['email' => 'north@studio.example', 'newEmail' => 'new@studio.example']);
    $token = token_of_mail('confirm');
    $this->putJson('/api/account/email/confirmed', ['token' => 'x'.$token])->assertJsonValidationErrors('token');
    $this->putJson('/api/account/email/confirmed', ['token' => $token])->assertJson(['email' => 'new@studio.example', 'newEmail' => null]);
    // Her studio knows her by it.
    expect($own->member->refresh()->email)->toBe('new@studio.example');
    $this->putJson('/api/account/email/confirmed', ['token' => $token])->assertJsonValidationErrors('token');
    $this->putJson('/api/account/email', ['email' => 'late@studio.example', 'password' => 'secret-word']);
    $this->travel(3)->days();
    $this->putJson('/api/account/email/confirmed', ['token' => token_of_mail('confirm')])->assertJsonValidationErrors('token');
});

test('a forgotten password is reset by a mailed link, once; nobody is told which addresses are known', function (): void {
    $own = new Fixtures();
    $this->postJson('/api/password-resets', ['email' => 'nobody@studio.example'])->assertNoContent();
    expect(KeptMail::query()->count())->toBe(0);
    $this->postJson('/api/password-resets', ['email' => $own->teacher->email])->assertNoContent();
    $reset = ['email' => $own->teacher->email, 'token' => token_of_mail('token'), 'password' => 'a new long one'];
    $this->putJson('/api/password-resets', ['token' => 'no'] + $reset)->assertJsonValidationErrors('token');
    $this->putJson('/api/password-resets', $reset)->assertNoContent();
    $this->putJson('/api/password-resets', $reset)->assertJsonValidationErrors('token');
    $this->postJson('/api/session', ['email' => $own->teacher->email, 'password' => 'a new long one'])->assertOk();
});

test('the command gives a new password, and says when there is no such account', function (): void {
    $own = new Fixtures();
    $own->teacher->update(['second_secret' => OneTimeCode::secret(), 'second_since' => now()]);
    Artisan::call('nasturtium:password', ['mail' => $own->teacher->email]);
    $password = trim(explode(': ', Artisan::output())[1]);
    $this->postJson('/api/session', ['email' => $own->teacher->email, 'password' => $password])->assertOk();
    expect(Artisan::call('nasturtium:password', ['mail' => 'nobody@x.example']))->toBe(1);
});

test('other devices are listed and signed out, this one is not', function (): void {
    $own = new Fixtures();
    config(['session.driver' => 'database']);
    $row = fn (string $id, string $agent): array => ['id' => $id, 'user_id' => $own->teacher->id, 'ip_address' => '127.0.0.1', 'user_agent' => $agent, 'payload' => '', 'last_activity' => now()->getTimestamp()];
    DB::table('sessions')->insert([$row('one', 'Mozilla/5.0 (iPad; CPU OS) AppleWebKit Safari/600'), $row('two', 'Mozilla/5.0 (X11; Linux) Firefox/140.0'), ['user_id' => $own->teacher->id + 1] + $row('three', '')]);
    $sessions = $this->actingAs($own->teacher)->getJson('/api/account/sessions')->assertOk()->json();
    expect(array_column($sessions, 'device'))->toEqualCanonicalizing(['Safari on iPad', 'Firefox on Linux'])->and(json_encode($sessions))->not->toContain('"one"');
    $this->deleteJson("/api/account/sessions/{$sessions[0]['token']}")->assertOk();
    expect(DB::table('sessions')->whereIn('id', ['one', 'two', 'three'])->count())->toBe(2);
    $this->deleteJson('/api/account/sessions')->assertOk();
    expect(DB::table('sessions')->whereIn('id', ['one', 'two', 'three'])->pluck('id')->all())->toBe(['three']);
});

test('codes are those of RFC 6238', function (int $time, string $code): void {
    // The secret of its appendix B, "12345678901234567890", in base 32.
    expect(OneTimeCode::at('GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ', OneTimeCode::step($time), 8))->toBe($code);
})->with([[59, '94287082'], [1111111109, '07081804'], [1111111111, '14050471'], [1234567890, '89005924'], [2000000000, '69279037'], [20000000000, '65353130']]);

test('a second step is set up with an app, asked for at the sign-in, and put away', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $secret = $this->postJson('/api/account/second-step', ['password' => 'secret-word'])->assertOk()->json('secret');
    expect($own->teacher->refresh()->getRawOriginal('second_secret'))->not->toContain($secret);
    $code = fn (int $steps = 0): string => OneTimeCode::at($secret, OneTimeCode::step(now()->getTimestamp()) + $steps);
    $this->putJson('/api/account/second-step', ['code' => $code(9)])->assertJsonValidationErrors('code');
    $codes = $this->putJson('/api/account/second-step', ['code' => $code(-1)])->assertOk()->json('codes');
    expect($codes)->toHaveCount(10)->and($own->teacher->refresh()->getRawOriginal('recovery_codes'))->not->toContain($codes[0]);
    app('auth')->forgetGuards();
    $sign = fn (array $more) => $this->postJson('/api/session', ['email' => $own->teacher->email, 'password' => 'secret-word', ...$more]);
    $sign([])->assertJsonPath('errors.code.0', 'Enter the code of your authenticator app.');
    $sign(['code' => $code(-1)])->assertJsonValidationErrors('code');
    $sign(['code' => $code()])->assertOk();
    // The same code is not taken twice; a recovery code is, once.
    $sign(['code' => $code()])->assertJsonValidationErrors('code');
    $this->travel(2)->minutes();
    $sign(['code' => strtoupper($codes[3])])->assertOk();
    $this->travel(11)->minutes();
    $sign(['code' => $codes[3]])->assertJsonValidationErrors('code');
    $this->getJson('/api/account')->assertJsonPath('codesLeft', 9);
    $this->deleteJson('/api/account/second-step', ['password' => 'secret-word'])->assertNoContent();
    $this->travel(11)->minutes();
    $sign([])->assertOk();
});

test('a recovery code is taken by one of two who come with it at once', function (): void {
    $own = new Fixtures();
    $code = SecondStep::renewCodes($own->teacher)[4];
    [$one, $other] = [User::query()->findOrFail($own->teacher->id), User::query()->findOrFail($own->teacher->id)];
    expect(SecondStep::takes($one, $code))->toBeTrue()->and(SecondStep::takes($other, $code))->toBeFalse()
        ->and($own->teacher->refresh()->recovery_codes)->toHaveCount(9);
});

test('two who make an account with one address at once: the second is told, and has left no studio', function (): void {
    config(['nasturtium.registration' => true]);
    $first = new Fixtures();
    User::creating(fn (User $user) => User::query()->whereKey($first->teacher->id)->update(['email' => $user->email]));
    $this->postJson('/api/studios', a_first_account())->assertJsonValidationErrors('email');
    User::flushEventListeners();
    expect(Studio::query()->count())->toBe(1);
});

test('mails to a new address are not sent without end', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $ask = fn () => $this->putJson('/api/account/email', ['email' => 'new@studio.example', 'password' => 'secret-word']);
    for ($time = 1; $time <= 20; $time++) {
        $ask()->assertOk();
    }
    $ask()->assertTooManyRequests();
});

<?php

declare(strict_types=1);

use App\Http\Middleware\TryAgain;
use App\Lesson\Timetable\CalendarFeed;
use App\Privacy\WithoutSecrets;
use App\Providers\AppServiceProvider;
use App\Student\Timetable\Holiday;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Tests\Fixtures;

/** Tries to sign in. */
function tries(mixed $test, string $email, string $password = 'wrong', array $more = [], string $from = '10.0.0.1'): TestResponse
{
    return $test->withServerVariables(['REMOTE_ADDR' => $from])->postJson('/api/session', ['email' => $email, 'password' => $password, ...$more]);
}

test('every answer says what a page of ours may do', function (string $path, string $policy, string $referrer): void {
    new Fixtures();
    $headers = $this->get($path)->headers;
    expect($headers->get('Content-Security-Policy'))->toContain($policy)->toContain("frame-ancestors 'none'")->not->toMatch("/script-src[^;]*'unsafe-(inline|eval)'/")
        ->and($headers->get('X-Content-Type-Options'))->toBe('nosniff')->and($headers->get('Referrer-Policy'))->toBe($referrer)
        ->and($headers->get('Permissions-Policy'))->toContain('microphone=(self), camera=(self), midi=(self)')->toContain('geolocation=()')
        ->and($headers->has('X-Powered-By'))->toBeFalse()->and($headers->has('Strict-Transport-Security'))->toBeFalse();
    if (str_starts_with($path, '/api') || str_starts_with($path, '/calendar')) {
        expect($headers->get('Cache-Control'))->toContain('no-store')->toContain('private');
    }
})->with([
    ['/', "script-src 'self' 'wasm-unsafe-eval';", 'same-origin'],
    ['/home/token-of-north', "object-src 'none'", 'no-referrer'],
    ['/api/session', "default-src 'none'", 'same-origin'],
    ['/calendar/calendar-of-north.ics', "default-src 'none'", 'no-referrer'],
]);

test('behind TLS nothing goes without it', function (): void {
    new Fixtures();
    expect($this->get('https://localhost/')->headers->get('Strict-Transport-Security'))->toContain('max-age=31536000');
    config(['app.url' => 'https://studio.example']);
    (new AppServiceProvider(app()))->boot();
    expect(config('session.secure'))->toBeTrue()->and(url('/home/x'))->toBe('https://studio.example/home/x');
});

test('links and feeds lead to the address that is set, whatever a request calls its host', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $evil = ['Host' => 'evil.example', 'X-Forwarded-Host' => 'evil.example', 'X-Forwarded-Proto' => 'https'];
    $link = $this->postJson("http://evil.example/api/students/{$own->student->id}/links", ['label' => 'Home', 'expiresOn' => null], $evil)->assertOk()->json('url');
    $feed = $this->postJson('http://evil.example/api/calendars', ['studentId' => null], $evil)->assertOk()->json('url');
    expect($link)->toStartWith(config('app.url'))->and($feed)->toStartWith(config('app.url'));
});

test('a proxy is believed when a setting names it, and not before', function (): void {
    Route::middleware('web')->post('/where', static fn (): array => [request()->ip(), request()->isSecure()]);
    $asked = fn (): array => $this->withServerVariables(['REMOTE_ADDR' => '10.1.1.1'])->postJson('http://localhost/where', [], ['X-Forwarded-For' => '192.0.2.7', 'X-Forwarded-Proto' => 'https'])->json();
    expect($asked())->toBe(['10.1.1.1', false]);
    config(['nasturtium.trusted_proxies' => '10.1.1.1, 10.2.0.0/16']);
    expect($asked())->toBe(['192.0.2.7', true]);
    config(['nasturtium.trusted_proxies' => '10.9.9.9']);
    expect($asked())->toBe(['10.1.1.1', false]);
});

test('tries at one account count together, however its address is written', function (): void {
    new Fixtures();
    foreach (['north@studio.example', 'NORTH@studio.example', 'nórth@studio.example', 'North@Studio.Example', ' north@studio.example'] as $email) {
        tries($this, $email)->assertUnprocessable();
    }
    tries($this, 'north@studio.example', 'secret-word')->assertTooManyRequests();
    // From another place it is open still.
    tries($this, 'north@studio.example', 'secret-word', from: '10.0.0.2')->assertOk();
});

test('tries at one account count together, from however many places', function (): void {
    new Fixtures();
    for ($try = 1; $try <= 20; $try++) {
        tries($this, 'north@studio.example', from: "10.0.1.{$try}")->assertUnprocessable();
    }
    tries($this, 'north@studio.example', from: '10.0.2.1')->assertTooManyRequests();
});

test('an address that nobody has takes as long as a wrong password: one hash is tried for each', function (): void {
    new Fixtures();
    tries($this, 'warm@studio.example');
    $checked = 0;
    $hasher = Hash::driver();
    Hash::swap(new class ($hasher, $checked) implements Hasher {
        public function __construct(private readonly Hasher $inner, private int &$checked) {}

        public function info($hashedValue): array
        {
            return $this->inner->info($hashedValue);
        }

        public function make($value, array $options = []): string
        {
            return $this->inner->make($value, $options);
        }

        public function check($value, $hashedValue, array $options = []): bool
        {
            $this->checked++;

            return $this->inner->check($value, $hashedValue, $options);
        }

        public function needsRehash($hashedValue, array $options = []): bool
        {
            return false;
        }
    });
    $wrong = tries($this, 'north@studio.example')->assertUnprocessable()->json();
    expect($checked)->toBe(1)->and(tries($this, 'nobody@studio.example')->assertUnprocessable()->json())->toBe($wrong)->and($checked)->toBe(2);
});

test('a browser is remembered for 30 days when the box is ticked, and only then', function (): void {
    new Fixtures();
    $remembered = static fn (TestResponse $answer): array => array_values(array_filter($answer->headers->getCookies(), static fn ($cookie): bool => str_starts_with($cookie->getName(), 'remember_web')));
    expect($remembered(tries($this, 'north@studio.example', 'secret-word')->assertOk()))->toBe([]);
    app('auth')->forgetGuards();
    [$cookie] = $remembered(tries($this, 'north@studio.example', 'secret-word', ['remember' => true])->assertOk());
    expect($cookie->getExpiresTime() - now()->getTimestamp())->toBe(30 * 24 * 3600)->and($cookie->isHttpOnly())->toBeTrue();
});

test('what is no address is refused', function (mixed $email): void {
    $this->postJson('/api/session', ['email' => $email, 'password' => 'x'])->assertUnprocessable();
})->with([
    'a list' => [['a@b.c']], 'a list of lists' => [[['x' => 'y']]], 'yes' => [true], 'a number' => [7],
    'bytes that are no text' => ["\xB1\x31"], 'a null byte' => ["a\0@b.example"], 'one too long' => [str_repeat('a', 5000).'@b.example'],
]);

test('links cannot be tried out, and one that is right is none the worse', function (): void {
    $own = new Fixtures();
    $home = fn (string $token, string $from): int => $this->withServerVariables(['REMOTE_ADDR' => $from])->getJson('/api/home/week', ['Authorization' => "Bearer {$token}"])->getStatusCode();
    for ($try = 1; $try <= 30; $try++) {
        app('auth')->forgetGuards();
        expect($home("wrong {$try}", '10.0.3.1'))->toBe(401);
    }
    app('auth')->forgetGuards();
    expect($home('wrong again', '10.0.3.1'))->toBe(429);
    app('auth')->forgetGuards();
    expect($home($own->token, '10.0.3.2'))->toBe(200);
    for ($try = 1; $try <= 30; $try++) {
        $this->withServerVariables(['REMOTE_ADDR' => '10.0.3.4'])->get("/calendar/wrong-{$try}.ics")->assertNotFound();
    }
    $this->withServerVariables(['REMOTE_ADDR' => '10.0.3.4'])->get('/calendar/calendar-of-north.ics')->assertTooManyRequests();
    $this->withServerVariables(['REMOTE_ADDR' => '10.0.3.5'])->get('/calendar/calendar-of-north.ics')->assertOk();
});

test('no secret stands in a log, and nobody else reads it', function (): void {
    $token = 'aB3dE6gH9jK2mN5pQ8sT1vW4yZ7bC0dF3gH6jK9m';
    $line = WithoutSecrets::of("GET /home/{$token} /calendar/{$token}.ics password=hunter2 {\"password\":\"hunter3\",\"email\":\"a@b.example\"} Authorization: Bearer {$token} ".hash('sha256', $token).' '.password_hash('x', PASSWORD_BCRYPT, ['cost' => 4]));
    expect($line)->not->toContain($token)->not->toContain('hunter')->not->toContain(hash('sha256', $token))->not->toContain('$2y$')
        ->and($line)->toContain('a@b.example')->toContain('[left out]')
        ->and(config('logging.channels.single.permission'))->toBe(0o600)->and(config('logging.channels.single.tap'))->toBe([WithoutSecrets::class]);
});

test('what is not here says no more than that', function (string $path): void {
    $own = new Fixtures();
    $answer = $this->actingAs($own->teacher)->getJson($path)->assertNotFound();
    expect($answer->json())->toBe(['message' => 'This is not here.']);
})->with(['/api/students/999999', '/api/weeks/999999', '/api/nothing', '/api/students/abc']);

test('what is too large is refused before it is looked at', function (): void {
    $own = new Fixtures();
    $this->actingAs($own->teacher);
    $siblings = "/api/links/{$own->link->id}/siblings";
    $begun = hrtime(true);
    expect($this->putJson($siblings, ['studentIds' => range(1, 20_000)])->getStatusCode())->toBe(413)
        ->and($this->postJson("/api/weeks/{$own->week->id}/copies", ['taskIds' => range(1, 20_000), 'studentIds' => [1]])->getStatusCode())->toBe(413)
        ->and($this->putJson($siblings, ['studentIds' => range(1, 5_000)])->getStatusCode())->toBe(422)
        ->and($this->patchJson("/api/studios/{$own->studio->id}", array_fill_keys(range(1, 50_000), 'x'))->getStatusCode())->toBe(413)
        ->and($this->putJson($siblings, ['studentIds' => [[[[[[[[[[1]]]]]]]]]]])->getStatusCode())->toBe(413)
        ->and($this->postJson('/api/books', ['title' => 'x', 'level' => str_repeat('x', 1_100_000)])->getStatusCode())->toBe(413);
    expect((hrtime(true) - $begun) / 1e9)->toBeLessThan(20);
});

test('a number is a number and a list a list, or it is refused and nothing is written', function (string $method, string $path, array $body, string $field): void {
    $own = new Fixtures();
    [$feeds, $holidays] = [CalendarFeed::query()->count(), Holiday::query()->count()];
    $student = (array) $this->actingAs($own->teacher)->getJson("/api/students/{$own->student->id}")->json('student');
    $uri = strtr($path, ['{student}' => (string) $own->student->id, '{piece}' => (string) $own->piece->id, '{id}' => (string) $own->student->id]);
    $fill = static fn (mixed $value): mixed => $value === '{id}' ? (string) $own->student->id : ($value === 'float' ? (float) $own->student->id : $value);
    $answer = $this->json($method, $uri, [...($method === 'PUT' ? $student : []), ...array_map($fill, $body)], ['Content-Type' => 'application/json'], JSON_PRESERVE_ZERO_FRACTION);
    $answer->assertUnprocessable()->assertJsonValidationErrors($field);
    expect([CalendarFeed::query()->count(), Holiday::query()->count()])->toBe([$feeds, $holidays]);
})->with([
    'a calendar for a text' => ['POST', '/api/calendars', ['studentId' => '{id}'], 'studentId'],
    'a calendar for a broken number' => ['POST', '/api/calendars', ['studentId' => 'float'], 'studentId'],
    'a calendar for yes' => ['POST', '/api/calendars', ['studentId' => true], 'studentId'],
    'a holiday for a text' => ['POST', '/api/holidays', ['studentId' => '{id}', 'label' => 'x', 'from' => '2031-01-01', 'to' => '2031-01-02', 'lessons' => false, 'practice' => false], 'studentId'],
    'a holiday for yes' => ['POST', '/api/holidays', ['studentId' => true, 'label' => 'x', 'from' => '2031-01-01', 'to' => '2031-01-02', 'lessons' => false, 'practice' => false], 'studentId'],
    'a holiday from a list' => ['POST', '/api/holidays', ['studentId' => null, 'label' => 'x', 'from' => ['2031-01-01'], 'to' => '2031-01-02', 'lessons' => false, 'practice' => false], 'from'],
    'a holiday from a number' => ['POST', '/api/holidays', ['studentId' => null, 'label' => 'x', 'from' => 9_223_372_036_854_775_807, 'to' => '2031-01-02', 'lessons' => false, 'practice' => false], 'from'],
    'a second weekday as text' => ['PUT', '/api/students/{student}', ['secondWeekday' => 'Monday', 'secondTime' => '10:00', 'secondMinutes' => 30], 'secondWeekday'],
    'a second lesson of a text’s length' => ['PUT', '/api/students/{student}', ['secondWeekday' => 3, 'secondTime' => '10:00', 'secondMinutes' => '30'], 'secondMinutes'],
    'a report from a list' => ['GET', '/api/students/{student}/progress?from[]=2031-01-01', [], 'from'],
    'a key that is a list' => ['GET', '/api/pieces/{piece}/position?key[]=1', [], 'key'],
    'a week far away' => ['POST', '/api/students/{student}/weeks', ['from' => '9999-12-31'], 'from'],
]);

test('a transaction that met another one is tried again, and one that cannot be is told', function (): void {
    $own = new Fixtures();
    $times = 0;
    $meets = 2;
    Route::middleware(['web', TryAgain::class])->post('/meets', static function () use (&$times, &$meets, $own): array {
        DB::table('books')->insert(['studio_id' => $own->studio->id, 'title' => 'Try '.++$times]);
        if ($times <= $meets) {
            throw new QueryException('mariadb', 'select 1', [], new PDOException('SQLSTATE[40001]: Serialization failure: 1213 Deadlock found when trying to get lock; try restarting transaction'));
        }

        return ['tries' => $times];
    });
    $this->postJson('/meets')->assertOk()->assertJsonPath('tries', 3);
    // Of the tries that failed nothing is left.
    expect(DB::table('books')->where('title', 'like', 'Try %')->pluck('title')->all())->toBe(['Try 3']);
    [$times, $meets] = [0, 1000];
    $this->postJson('/meets')->assertServerError();
});

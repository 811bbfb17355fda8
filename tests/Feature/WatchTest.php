<?php

declare(strict_types=1);

use App\Privacy\WithoutSecrets;
use App\Watch\Exposition;
use App\Watch\Figures;
use App\Watch\JsonLines;
use App\Watch\Readiness;
use App\Watch\RequestId;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Monolog\Level;
use Monolog\LogRecord;

beforeEach(function (): void {
    Storage::fake('photos');
    Readiness::forget();
    $this->ready = function () {
        Readiness::forget();

        return $this->get('/ready');
    };
});

it('lives, and is ready when database, queue and disk are', function (): void {
    $this->get('/up')->assertOk()->assertSee('up');
    $this->get('/ready')->assertOk()->assertExactJson(['database' => true, 'queue' => true, 'disk' => true])->assertCookieMissing('nasturtium-session');
    expect(Storage::disk('photos')->allFiles())->toBe([]);
});

it('is not ready when a job has waited too long, or the disk takes nothing', function (): void {
    $job = static fn (int $waited): array => ['queue' => 'photos', 'payload' => '{}', 'attempts' => 0, 'available_at' => now()->getTimestamp() - $waited, 'created_at' => now()->getTimestamp()];
    DB::table('jobs')->insert($job(Readiness::LONGEST_WAIT));
    ($this->ready)()->assertOk();
    DB::table('jobs')->insert($job(Readiness::LONGEST_WAIT + 1));
    ($this->ready)()->assertStatus(503)->assertJson(['queue' => false, 'database' => true]);
    DB::table('jobs')->update(['reserved_at' => now()->getTimestamp()]);
    ($this->ready)()->assertOk();
    config(['filesystems.disks.photos' => ['driver' => 'local', 'root' => '/proc/nowhere', 'throw' => true]]);
    Storage::forgetDisk('photos');
    // Whoever asks again at once hears the same.
    $this->get('/ready')->assertOk();
    ($this->ready)()->assertStatus(503)->assertJson(['disk' => false]);
})->skip(! Figures::counts(), 'the memory that processes share is not there');

it('tells figures to whoever asks on this machine, where they are wanted', function (): void {
    $this->get('/figures')->assertNotFound();
    config(['nasturtium.figures' => true]);
    DB::table('jobs')->insert(['queue' => 'photos', 'payload' => '{}', 'attempts' => 0, 'available_at' => now()->getTimestamp() - 40, 'created_at' => now()->getTimestamp()]);
    $told = $this->get('/figures')->assertOk()->assertHeader('Content-Type', 'text/plain; version=0.0.4; charset=utf-8')->getContent();
    expect($told)->toContain('nasturtium_queue_waiting{queue="photos"} 1', 'nasturtium_queue_oldest_seconds{queue="photos"} 40', 'nasturtium_database_up 1', 'nasturtium_database_connections');
    $this->get('/figures', ['X-Forwarded-For' => '10.0.0.7'])->assertNotFound();
    $this->call('GET', '/figures', server: ['REMOTE_ADDR' => '10.0.0.7'])->assertNotFound();
});

it('counts requests by route and how long they took', function (): void {
    Figures::forget();
    Figures::request('GET', 'api/weeks/{week}', 200, 24.0);
    Figures::request('GET', 'api/weeks/{week}', 200, 25.1);
    Figures::request('GET', 'api/weeks/{week}', 404, 20_000);
    $all = Figures::requests();
    expect($all)->toHaveKeys(['GET api/weeks/{week} 2xx', 'GET api/weeks/{week} 4xx']);
    expect($all['GET api/weeks/{week} 2xx'])->toMatchArray(['count' => 2, 'seconds' => 0.0491])
        ->and(array_slice($all['GET api/weeks/{week} 2xx']['within'], 0, 2, true))->toBe([25 => 1, 50 => 1])
        ->and(array_sum($all['GET api/weeks/{week} 4xx']['within']))->toBe(0);
})->skip(! Figures::counts(), 'the memory that processes share is not there');

it('writes figures as scrapers read them', function (): void {
    $text = (new Exposition())->add('nasturtium_jobs', 'gauge', 'Jobs.', [[['queue' => "a\"b\nc\\d"], 2]])->add('nasturtium_none', 'gauge', 'None.', [])->text();
    expect($text)->toBe("# HELP nasturtium_jobs Jobs.\n# TYPE nasturtium_jobs gauge\nnasturtium_jobs{queue=\"a\\\"b\\nc\\\\d\"} 2\n");
});

it('writes of a failure its kind and place, and nothing that was sent', function (): void {
    RequestId::begin('abcdef12-3456');
    $reason = new QueryException('mariadb', 'insert into students values (?)', [], new PDOException("Duplicate entry 'Ottilie' for key", 23000));
    $line = JsonLines::of(new LogRecord(new DateTimeImmutable('2031-05-05 10:00:00', new DateTimeZone('UTC')), 'nasturtium', Level::Error, $reason->getMessage(), ['exception' => $reason, 'userId' => 3]));
    RequestId::end();
    expect($line)->toMatchArray(['at' => '2031-05-05T10:00:00.000+00:00', 'level' => 'error', 'request' => 'abcdef12-3456', 'event' => 'failure', 'kind' => QueryException::class])
        ->and($line['from']['kind'])->toBe(PDOException::class)->and(json_encode($line))->not->toContain('Ottilie');
});

it('leaves out of any log what the database says of a value', function (string $said): void {
    expect(WithoutSecrets::of("SQLSTATE[23000]: {$said} (Connection: mariadb, SQL: insert into students values (?))"))
        ->toContain('[left out]', 'insert into students')->not->toContain('Ottilie');
})->with(["1062 Duplicate entry '3-Ottilie' for key 'name'", "1366 Incorrect string value: 'Ottilie' for column `nasturtium`.`students`.`first_name` at row 1", "1292 Truncated incorrect DOUBLE value: 'Ottilie'", "1062 Duplicate entry 'Ottilie’s 'own' page' for key 'name'"]);

it('gives each request a name, the one of the proxy where that is one', function (string $given, bool $isTaken): void {
    $named = $this->get('/ready', ['X-Request-Id' => $given])->headers->get('X-Request-Id');
    expect($named === $given)->toBe($isTaken)->and($named)->toMatch('/^[A-Za-z0-9-]{8,64}$/');
})->with([['0123456789abcdef', true], ["0123456789abcdef\n{}", false], ['short', false], [str_repeat('a', 64), true], [str_repeat('a', 65), false]]);

<?php

declare(strict_types=1);

/*
 * Two studios propose weeks at the same time, 400 in all: in two processes, and over HTTP at two applications. None may
 * fail. Prints what holds as JSON, by name.
 *   php tests/Faults/proposals.php http://… http://…
 */

use App\Student\Student;
use App\Week\ProposeWeek;
use Carbon\CarbonImmutable;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Promise\Each;
use Illuminate\Contracts\Console\Kernel;
use Symfony\Component\Process\Process;
use Tests\Fixtures;

require __DIR__.'/../../vendor/autoload.php';

const EACH = 200;

$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

/** Every second one is of a week that is there. */
$from = static fn (int $nth): CarbonImmutable => CarbonImmutable::parse(Fixtures::MONDAY)->addWeeks(intdiv($nth, 2));

if ($argv[1] === 'worker') {
    $student = Student::query()->findOrFail((int) $argv[2]);
    $propose = $app->make(ProposeWeek::class);
    for ($nth = 0; $nth < EACH; $nth++) {
        $propose($student, $from($nth));
    }
    exit(0);
}

$studios = array_map(static fn (string $name): Fixtures => new Fixtures($name), ['east', 'west', 'hill', 'shore']);
$workers = array_map(static fn (Fixtures $of): Process => new Process([PHP_BINARY, __FILE__, 'worker', (string) $of->student->id], timeout: 300), array_slice($studios, 0, 2));
foreach ($workers as $worker) {
    $worker->start();
}
$failed = [];
foreach ($workers as $worker) {
    if ($worker->wait() !== 0) {
        $failed[] = $worker->getErrorOutput().$worker->getOutput();
    }
}
fwrite(STDERR, implode("\n", $failed));

$asks = [];
foreach ($studios as $i => $of) {
    $jar = new CookieJar();
    $client = new Client(['base_uri' => $argv[1 + $i % 2], 'cookies' => $jar, 'timeout' => 60, 'http_errors' => false, 'headers' => ['Accept' => 'application/json']]);
    $proof = static fn (): array => ['X-XSRF-TOKEN' => urldecode($jar->getCookieByName('XSRF-TOKEN')?->getValue() ?? '')];
    $client->get('/');
    $client->post('/api/session', ['headers' => $proof(), 'json' => ['email' => $of->teacher->email, 'password' => 'secret-word']]);
    for ($nth = 0; $nth < EACH / 2; $nth++) {
        $asks[$nth * count($studios) + $i] = static fn () => $client->postAsync("/api/students/{$of->student->id}/weeks", ['headers' => $proof(), 'json' => ['from' => $from($nth)->toDateString()]]);
    }
}
ksort($asks);
$told = [];
$all = static function () use ($asks): iterable {
    foreach ($asks as $ask) {
        yield $ask();
    }
};
Each::ofLimit($all(), count($studios), static function ($answer) use (&$told): void {
    $status = $answer->getStatusCode();
    $told[$status] = ($told[$status] ?? 0) + 1;
    if ($status !== 200) {
        fwrite(STDERR, substr((string) $answer->getBody(), 0, 300)."\n");
    }
}, static function ($reason) use (&$told): void {
    $told['no answer'] = ($told['no answer'] ?? 0) + 1;
})->wait();
fwrite(STDERR, json_encode($told)."\n");
foreach ($studios as $of) {
    $of->studio->delete();
}
echo json_encode([
    'two processes propose '.(2 * EACH).' weeks at once, none fails' => $failed === [],
    'over HTTP too' => $told === [200 => count($asks)],
]);

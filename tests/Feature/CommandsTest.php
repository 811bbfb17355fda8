<?php

declare(strict_types=1);

use App\Account\User;
use App\Demo\DemoStudio;
use Illuminate\Support\Facades\Artisan;

/** @return string what `php bin/count-report.php` says of a report */
function counted_report(string $name, string $content): string
{
    $file = sys_get_temp_dir().'/'.uniqid().$name;
    file_put_contents($file, $content);
    $said = (string) shell_exec(PHP_BINARY.' '.escapeshellarg(base_path('bin/count-report.php')).' '.escapeshellarg($file));
    unlink($file);

    return $said;
}

test('the demo command says how to get in, and makes the studio once', function (): void {
    $this->artisan('nasturtium:demo')
        ->expectsOutputToContain('teacher@windowsill.example')
        ->expectsOutputToContain('/home/'.DemoStudio::homeToken())
        ->assertSuccessful();
    $this->artisan('nasturtium:demo')->assertSuccessful();
    expect(User::query()->count())->toBe(1);
    $this->getJson('/api/home/week', ['Authorization' => 'Bearer '.DemoStudio::homeToken()])->assertOk();
});

test('the bench measures the core, and says when no studio runs', function (): void {
    Artisan::call('nasturtium:bench', ['--rounds' => 3, '--url' => 'http://127.0.0.1:9']);
    $said = Artisan::output();
    expect($said)->toMatch('/^8 +\d/m')
        ->toMatch('/^80 +\d+\.\d +x\d/m')
        ->toMatch('/^800 +\d+\.\d +x\d/m')
        ->toContain('No endpoint was measured');
});

test('a report is counted whoever wrote it', function (string $name, string $content, string $counts): void {
    expect(counted_report($name, $content))->toBe($counts);
})->with([
    'JUnit' => [
        '.xml',
        '<testsuites><testsuite tests="5" failures="1" errors="1" skipped="1"/></testsuites>',
        '2 2',
    ],
    'units of the front end' => [
        '.json',
        '{"numPassedTests":7,"numFailedTests":0}',
        '7 0',
    ],
    'the browser' => [
        '.json',
        '{"stats":{"expected":4,"flaky":1,"unexpected":2,"skipped":1}}',
        '5 2',
    ],
    'nothing ran' => [
        '.json',
        '{"stats":{"expected":0,"flaky":0,"unexpected":0}}',
        '0 1',
    ],
    'no report' => [
        '.xml',
        '',
        '0 1',
    ],
]);

test('choosing is measured on invented learners, and the same ones give the same figures', function (): void {
    $said = static function (array $of): string {
        Artisan::call('nasturtium:drills', $of);

        return Artisan::output();
    };
    $first = $said(['--learners' => 3, '--from' => 1_001]);
    expect($first)->toContain('3 learners, answers until twenty notes have become secure')->toMatch('/^ours +\d+ +\d+ +3 of 3/m')->toMatch('/^random /m')->toMatch('/^boxes /m')
        ->toMatch('/^ours takes \d+ % fewer than boxes/m')
        ->and($said(['--learners' => 3, '--from' => 1_001]))->toBe($first)->and($said(['--learners' => 3, '--from' => 5]))->not->toBe($first)
        // Nothing is no learner: one is measured.
        ->and($said(['--learners' => 0]))->toContain('1 learners');
});

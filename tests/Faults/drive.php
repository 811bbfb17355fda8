<?php

declare(strict_types=1);

/*
 * Ticks and slips without end at two applications, while one of them and the database are killed by faults.sh; each is
 * sent again with its key until it is acknowledged. Then the database is asked what it has.
 */

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Exception\GuzzleException;
use GuzzleHttp\Promise\Utils;
use Psr\Http\Message\ResponseInterface;

require __DIR__.'/../../vendor/autoload.php';

[, $first, $second, $report] = $argv;
$over = __DIR__.'/../../.run/faults.over';
$begun = __DIR__.'/../../.run/faults.begun';
@unlink($over);
@unlink($begun);

$jar = new CookieJar();
$client = new Client(['cookies' => $jar, 'timeout' => 20, 'http_errors' => false, 'headers' => ['Accept' => 'application/json']]);
$passed = [];

/** One thing that holds or does not. */
function holds(string $what, bool $does): void
{
    global $passed;
    $passed[$what] = $does;
    fwrite(STDERR, ($does ? 'ok      ' : 'FAILED  ').$what."\n");
}

/** @return array<string, string> what proves to the server that the teacher asks */
function proof(CookieJar $jar): array
{
    return ['X-XSRF-TOKEN' => urldecode($jar->getCookieByName('XSRF-TOKEN')?->getValue() ?? '')];
}

function uuid(): string
{
    $bytes = bin2hex(random_bytes(16));

    return substr($bytes, 0, 8).'-'.substr($bytes, 8, 4).'-4'.substr($bytes, 13, 3).'-a'.substr($bytes, 17, 3).'-'.substr($bytes, 20, 12);
}

/** @return array<mixed> */
function answered(ResponseInterface $response): array
{
    if ($response->getStatusCode() >= 400) {
        throw new RuntimeException("{$response->getStatusCode()}: ".substr((string) $response->getBody(), 0, 400));
    }

    return (array) json_decode((string) $response->getBody(), true);
}

foreach ((array) json_decode((string) file_get_contents(__DIR__.'/../../.run/proposals.json'), true) as $what => $does) {
    holds($what, $does === true);
}

$client->get($first);
$signedIn = $client->post("{$first}/api/session", ['headers' => proof($jar), 'json' => ['email' => 'teacher@windowsill.example', 'password' => 'nasturtium']]);
holds('a session that one application opened is open at the other', $signedIn->getStatusCode() === 200 && $client->get("{$second}/api/session")->getStatusCode() === 200);

$row = null;
foreach (answered($client->get("{$first}/api/this-week")) as $one) {
    $row ??= $one['student'] === 'Theo B.' ? $one : null;
}
$lesson = answered($client->post("{$first}/api/students/{$row['studentId']}/lessons", ['headers' => proof($jar), 'json' => ['heldOn' => $row['lessonOn']]]));
$week = answered($client->get("{$first}/api/weeks/{$lesson['weekId']}"));
$task = array_values(array_filter($week['tasks'], static fn (array $of): bool => $of['bars'] !== []))[0];
$link = answered($client->post("{$second}/api/students/{$row['studentId']}/links", ['headers' => proof($jar), 'json' => ['label' => 'Faults', 'expiresOn' => null]]));
$home = ['Authorization' => 'Bearer '.basename($link['url'])];

// A slip is noted once at a place, so each is of another kind, hand, bar or beat.
$kinds = ['wrong-note', 'read-backwards', 'wrong-finger', 'leap-missed', 'cut-short', 'beat-lost', 'line-turn-stall', 'hands-do-not-meet', 'articulation', 'dynamics', 'repeat-missed'];
$bars = range($task['bars'][0]['first'], $task['bars'][0]['last']);
$beats = [[null, null], [1, 1], [2, 2], [3, 3], [1, 2], [2, 3], [1, 3]];
$slip = static function (string $key, int $number) use ($task, $kinds, $bars, $beats): array {
    [$from, $to] = $beats[intdiv($number, 33 * count($bars)) % count($beats)];

    return [
        'taskId' => $task['id'], 'kind' => $kinds[$number % 11], 'hand' => [null, 'R', 'L'][intdiv($number, 11) % 3],
        'measure' => $bars[intdiv($number, 33) % count($bars)], 'fromBeat' => $from, 'toBeat' => $to, 'clientKey' => $key,
    ];
};
$tick = static fn (string $key, string $date): array => ['clientKey' => $key, 'date' => $date, 'repetitions' => 1, 'feeling' => 'fine', 'note' => ''];

// The same tick from two phones at two applications at the same moment.
$twice = $week['tasks'][0];
$promises = [];
for ($phone = 0; $phone < 6; $phone++) {
    $promises[] = $client->putAsync(($phone % 2 === 0 ? $first : $second)."/api/home/tasks/{$twice['id']}/practice", ['headers' => $home, 'json' => $tick(uuid(), $week['startsOn'])]);
}
$answers = Utils::unwrap($promises);
$ids = array_unique(array_map(static fn (ResponseInterface $of): int => (int) (answered($of)['id'] ?? 0), $answers));
holds('a tick of six phones at two applications counts once', count($ids) === 1 && $ids[0] > 0);

// Two hands on one week at the same moment: the last word stands whole.
$tasks = static fn (bool $starred): array => array_map(static fn (array $of): array => [...array_intersect_key($of, array_flip(['id', 'kind', 'title', 'instruction', 'learningId', 'hand', 'repetitions', 'tempo', 'minutes', 'mostDays', 'dates', 'locked', 'off'])), 'starred' => $starred], $week['tasks']);
$saved = Utils::unwrap(array_map(static fn (int $nth) => $client->putAsync(($nth % 2 === 0 ? $first : $second)."/api/weeks/{$week['id']}", ['headers' => proof($jar), 'timeout' => 20, 'json' => ['tasks' => $tasks($nth % 2 === 0), 'justSo' => true]]), range(0, 5)));
$stars = array_unique(array_column(answered($client->get("{$first}/api/weeks/{$week['id']}"))['tasks'], 'starred'));
holds('a week that is saved at two applications at once is one of the two', count($stars) === 1 && array_unique(array_map(static fn (ResponseInterface $of): int => $of->getStatusCode(), $saved)) === [200]);

// Only now may anything be killed: what came before was asked once.
touch($begun);
$acknowledged = [];
$broken = 0;
for ($number = 0; ! file_exists($over) || $number < 40; $number++) {
    $key = uuid();
    for ($try = 0; $try < 200; $try++) {
        $at = ($number + $try) % 2 === 0 ? $first : $second;
        try {
            $status = $client->post("{$at}/api/lessons/{$lesson['id']}/slips", ['headers' => proof($jar), 'timeout' => 5, 'json' => $slip($key, $number)])->getStatusCode();
        } catch (GuzzleException) {
            $status = 0;
        }
        if ($status === 200) {
            $acknowledged[] = $key;
            usleep(30_000);
            break;
        }
        $broken++;
        usleep(150_000);
    }
}
@unlink($over);
@unlink($begun);

$database = null;
for ($try = 0; $try < 100 && $database === null; $try++) {
    try {
        $database = new PDO('mysql:host=127.0.0.1;port='.getenv('DB_PORT').';dbname='.getenv('DB_DATABASE'), (string) getenv('DB_USERNAME'), (string) getenv('DB_PASSWORD'));
    } catch (PDOException) {
        usleep(200_000);
    }
}
$kept = array_count_values($database?->query('select client_key from slips where client_key is not null')->fetchAll(PDO::FETCH_COLUMN) ?: []);
holds('the database and the application went away meanwhile', $broken > 0);
holds(count($acknowledged).' slips were acknowledged, and each of them is there', array_diff($acknowledged, array_keys($kept)) === []);
holds('none of them is there twice', $kept !== [] && max($kept) === 1);
$ticks = (int) $database?->query('select count(*) from practices where task_id = '.(int) $twice['id']." and on_date = '{$week['startsOn']}'")->fetchColumn();
holds('the tick is still there, once', $ticks === 1);
$counted = json_decode((string) $database?->query("select counted from weeks where id = {$week['id']}")->fetchColumn(), true);
$practised = (int) $database?->query("select sum(coalesce(task_days.half_minutes + task_days.more, tasks.half_minutes)) from practices join tasks on tasks.id = practices.task_id left join task_days on task_days.task_id = tasks.id and task_days.on_date = practices.on_date where tasks.week_id = {$week['id']}")->fetchColumn();
holds('what is counted of the week is what was practised', $practised > 0 && array_sum(array_column($counted['days'] ?? [], 1)) === $practised);

$failed = count(array_filter($passed, static fn (bool $of): bool => ! $of));
file_put_contents($report, json_encode(['numPassedTests' => count($passed) - $failed, 'numFailedTests' => $failed]));
exit($failed === 0 ? 0 : 1);

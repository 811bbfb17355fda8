<?php

declare(strict_types=1);

/*
 * Looks in the database for what load.mjs had acknowledged: what is missing is lost, what is there twice is doubled, and a mark
 * or a plan that is older than the last acknowledged one is lost as well. Prints {"lost", "doubled", "of"} as JSON.
 *   php tests/Cluster/kept.php REPORT.json
 */

$report = (array) json_decode((string) file_get_contents($argv[1]), true);
$acknowledged = $report['acknowledged'];
$database = new PDO('mysql:host='.getenv('DB_HOST').';port='.getenv('DB_PORT').';dbname='.getenv('DB_DATABASE'), (string) getenv('DB_USERNAME'), (string) getenv('DB_PASSWORD'), [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);

/** @return array<string, int> how often each value is there */
$often = static fn (string $select): array => array_count_values($database->query($select)->fetchAll(PDO::FETCH_COLUMN));

$lost = [];
$doubled = [];
$of = 0;
/** @param list<string> $keys */
$look = static function (string $what, array $keys, array $there) use (&$lost, &$doubled, &$of): void {
    $of += count($keys);
    foreach (array_unique($keys) as $key) {
        if (! isset($there[$key])) {
            $lost[] = "{$what} {$key}";
        } elseif ($there[$key] > 1) {
            $doubled[] = "{$what} {$key}";
        }
    }
};
$look('slip', $acknowledged['slips'], $often('select client_key from slips where client_key is not null'));
$look('take', $acknowledged['takes'], $often('select client_key from takes'));
$look('tick', array_map(static fn (array $one): string => "{$one[0]} {$one[1]}", $acknowledged['ticks']), $often("select concat(task_id, ' ', on_date) from practices"));

// Of what is written over, the last word is the last that was acknowledged, or one that was tried after it.
$word = static function (string $what, array $all, array $there) use (&$lost, &$of): void {
    foreach ($all as $key => $one) {
        if ($one['kept'] !== null) {
            $of++;
            $since = array_slice($one['tried'], (int) array_search($one['kept'], $one['tried'], true));
            if (! in_array($there[$one['task'] ?? $key] ?? null, $since, true)) {
                $lost[] = "{$what} {$key}";
            }
        }
    }
};
$word('mark', $acknowledged['marks'], $database->query('select id, heard_note from tasks')->fetchAll(PDO::FETCH_KEY_PAIR));
$word('plan', $acknowledged['plans'], $database->query('select id, instruction from tasks')->fetchAll(PDO::FETCH_KEY_PAIR));

echo json_encode(['lost' => count($lost), 'doubled' => count($doubled), 'of' => $of, 'which' => array_slice([...$lost, ...$doubled], 0, 10)]), "\n";
exit($lost === [] && $doubled === [] ? 0 : 1);

<?php

declare(strict_types=1);

/*
 * The script that the first screen loads, gzipped, held against a limit in kB: `php bin/first-screen-size.php 250`.
 */

$build = dirname(__DIR__).'/public/build/';
$manifest = json_decode((string) file_get_contents($build.'manifest.json'), true);
$bytes = 0;
$seen = [];
$queue = ['resources/js/main.tsx'];
while (($name = array_pop($queue)) !== null) {
    if (isset($seen[$name])) {
        continue;
    }
    $seen[$name] = true;
    $bytes += strlen((string) gzencode((string) file_get_contents($build.$manifest[$name]['file']), 9));
    array_push($queue, ...$manifest[$name]['imports'] ?? []);
}
$kilobytes = (int) ceil($bytes / 1000);
$limit = (int) ($argv[1] ?? 250);
echo "The first screen loads {$kilobytes} kB of script, gzipped; the limit is {$limit} kB.\n";
exit($kilobytes > $limit ? 1 : 0);

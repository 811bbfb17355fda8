<?php

declare(strict_types=1);

use Tests\Golden;

/*
 * Keeps the digests of tests/Golden.php as they are now, and names those that have changed. Look at each before it is kept.
 */

require dirname(__DIR__).'/vendor/autoload.php';

$kept = is_file(Golden::FILE) ? json_decode((string) file_get_contents(Golden::FILE), true) : [];
$now = Golden::digests();
foreach ($now as $name => $digest) {
    if (($kept[$name] ?? $digest) !== $digest) {
        echo "{$name}\n";
    }
}
file_put_contents(Golden::FILE, json_encode($now, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n");

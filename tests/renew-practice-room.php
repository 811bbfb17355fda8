<?php

declare(strict_types=1);
use Tests\PracticeRoom;

/** Writes what the core makes of sessions and taps anew: `php tests/renew-practice-room.php`. Look at the difference before it is kept. */

require __DIR__.'/../vendor/autoload.php';

$lines = array_map(
    static fn (array $of): string => "[\n".implode(",\n", array_map(static fn (array $one): string => json_encode($one, JSON_THROW_ON_ERROR), $of))."\n]",
    PracticeRoom::all(),
);
file_put_contents(PracticeRoom::file(), "{\"sessions\": {$lines['sessions']}, \"taps\": {$lines['taps']}}\n");

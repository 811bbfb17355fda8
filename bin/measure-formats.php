<?php

declare(strict_types=1);

use Tests\FormatFigures;

/*
 * How well music stays what it was: `php bin/measure-formats.php FROM TO [FOLDER…]` tries the random pieces of these seeds,
 * and the MusicXML files of each folder. The hands and pickups of MIDI were tuned on the seeds 1 to 200.
 */

require dirname(__DIR__).'/vendor/autoload.php';

$from = (int) ($argv[1] ?? 1001);
$to = (int) ($argv[2] ?? 1200);
$line = static function (string $what, int $right, int $all): void {
    printf("%-62s %6d of %6d  %5.1f %%\n", $what, $right, $all, 100 * $right / max(1, $all));
};
$line('random pieces that come back equal', ...FormatFigures::kept($from, $to));
foreach (array_slice($argv, 3) as $folder) {
    $line("parts of files of {$folder}", ...FormatFigures::files($folder));
}
$line('MIDI, one track: notes given to their hand', ...FormatFigures::hands($from, $to));
foreach (['a whole first bar' => ['', '0'], 'a pickup of a beat' => ['q3', '1/4'], 'a pickup of two beats' => ['q3 4', '1/2'], 'a pickup of two halves of a beat' => ['v1 2', '1/4']] as $what => [$pickup, $length]) {
    $line("MIDI, {$what} that nothing says", ...FormatFigures::pickups($pickup, $length, $from, $to));
}

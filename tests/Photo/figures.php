<?php

declare(strict_types=1);

/*
 * How well invented pages are read: php tests/Photo/figures.php COUNT FIRST [FOLDER] [--wrong] [--marked|--voiced|--bowed|--busy|--changing|--common]. A page a seed from
 * FIRST on, engraved by LilyPond, abcm2ps (where they are installed) and Verovio in its five fonts, in turn. The pictures stay in
 * FOLDER. With --marked the pages have a tempo, staccato, accents and fermatas, and words are read; with --voiced some bars have two
 * voices on the lower staff; with --bowed there are slurs and hairpins; with --busy
 * words, chord names, a pedal, tenuto, a second verse and endings; with --changing times, keys and clefs change; with --common the time is one of the two signs.
 */

use Tests\Photo\Figures;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$kind = array_values(array_filter(['marked', 'voiced', 'bowed', 'busy', 'changing', 'common'], static fn (string $one): bool => in_array("--{$one}", $argv, true)))[0] ?? '';
$given = array_values(array_filter(array_slice($argv, 1), static fn (string $one): bool => ! str_starts_with($one, '--')));
$figures = Figures::of((int) ($given[0] ?? 9), (int) ($given[1] ?? 1), $given[2] ?? sys_get_temp_dir().rtrim("/invented-pages-{$kind}", '-'), $kind);
echo $figures->table(), "\n", $figures->doubtsTable(), "\n", $figures->marksTable();
if (in_array('--wrong', $argv, true)) {
    echo "\n", implode("\n", $figures->wrong), "\n";
}

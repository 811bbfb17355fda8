<?php

declare(strict_types=1);

/*
 * Prints the table of how dynamics look in the letters of each engraver, for core/Formats/Photo/dynamics.txt:
 * php tests/Photo/prints.php [FOLDER]
 */

use Nasturtium\Core\Formats\Photo\Blob;
use Nasturtium\Core\Formats\Photo\DynamicReader;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Tests\Photo\Press;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$folder = $argv[1] ?? sys_get_temp_dir().'/prints';
$piece = ShorthandReader::read("title: Letters\ntime: 4/4\nR: @g4 ".implode(' | ', array_map(static fn (string $of): string => "\"{$of}\" wb", DynamicReader::WRITTEN))."\nL: ".implode(' | ', array_fill(0, count(DynamicReader::WRITTEN), '/'))."\n")->piece;
assert($piece !== null);
$press = new Press($folder);
$names = [];
foreach (array_unique(Press::engravers()) as $engraver) {
    foreach ([1.4, 1.9, 2.4] as $magnified) {
        $names[] = $name = strtr($engraver, ':', '-')."-{$magnified}";
        $press->add($piece, $engraver, $name, $magnified);
    }
}
$press->print();

$table = [];
foreach ($names as $name) {
    $reading = (new PhotoReader())->read((string) file_get_contents("{$folder}/{$name}.png"));
    $system = $reading->systems[0];
    $staff = $system->staves[0];
    $bottom = Strip::BOTTOM + (int) $system->gap();
    foreach ($system->bars as $n => [$from, $to]) {
        $blobs = array_values(array_filter($staff->blobs, static fn (Blob $blob): bool => DynamicReader::isBelow($blob, $bottom) && $blob->area > 20 && ($staff->strip->pageX[$blob->left] ?? 0.0) > $from && ($staff->strip->pageX[$blob->left] ?? 0.0) < $to));
        $letters = count($blobs) === 1 ? [DynamicReader::WRITTEN[$n]] : str_split(DynamicReader::WRITTEN[$n]);
        if (count($blobs) !== count($letters)) {
            fwrite(STDERR, "{$name}: {$letters[0]}… has ".count($blobs)." parts\n");

            continue;
        }
        foreach ($blobs as $i => $blob) {
            $hex = implode('', array_map(static fn (string $four): string => dechex((int) bindec(strtr($four, "\0\1", '01'))), str_split($blob->picture(), 4)));
            $table["{$letters[$i]} {$blob->width()} {$blob->height()} {$hex}"] = true;
        }
    }
}
ksort($table);
echo implode("\n", array_keys($table)), "\n";

<?php

declare(strict_types=1);

/*
 * Prints the tables of how signs look in the letters of each engraver: php tests/Photo/prints.php [dynamics|clefs|times|digits] [FOLDER],
 * for core/Formats/Photo/dynamics.txt, clefs.txt, which has the small clefs within a line, times.txt, which has the two signs, and digits.txt, whose digits are of common printing fonts.
 */

use Nasturtium\Core\Formats\Photo\Blob;
use Nasturtium\Core\Formats\Photo\ClefReader;
use Nasturtium\Core\Formats\Photo\DynamicReader;
use Nasturtium\Core\Formats\Photo\OpeningReader;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Formats\Photo\Staff;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Photo\System;
use Nasturtium\Core\Formats\Photo\TimeReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Tests\Photo\DrawnDigits;
use Tests\Photo\Press;

require dirname(__DIR__, 2).'/vendor/autoload.php';

if (($argv[1] ?? '') === 'digits') {
    echo implode("\n", DrawnDigits::all()), "\n";

    return;
}
[$what, $folder] = [$argv[1] ?? 'dynamics', $argv[2] ?? sys_get_temp_dir().'/prints'];
$folder .= "-{$what}";
$page = match ($what) {
    'dynamics' => 'R: @g4 '.implode(' | ', array_map(static fn (string $of): string => "\"{$of}\" wb", DynamicReader::WRITTEN))."\nL: ".implode(' | ', array_fill(0, count(DynamicReader::WRITTEN), '/')),
    'clefs' => 'R: '.implode(' | ', array_fill(0, 6, '/'))."\nL: @5=c3 ".implode(' | ', array_fill(0, 3, 'hc [treble] @5=c5 c | hc [bass] @5=c3 c')),
    'times' => "R: hc h | /\nL: @5=c3 hc h | /",
    default => throw new InvalidArgumentException('dynamics, clefs or times'),
};
$pieces = [];
foreach ($what === 'times' ? ['C', 'C|'] : ['4/4'] as $time) {
    $pieces[$time] = ShorthandReader::read("title: Letters\ntime: {$time}\n{$page}\n")->piece ?? throw new RuntimeException('no page');
}
$press = new Press($folder);
$names = [];
foreach (array_unique(Press::engravers()) as $engraver) {
    foreach ([1.4, 1.9, 2.4] as $magnified) {
        foreach ($pieces as $time => $piece) {
            $name = strtr($engraver, ':', '-')."-{$magnified}-".strtr($time, '/|', '-l');
            $names[$name] = $time;
            $press->add($piece, $engraver, $name, $magnified);
        }
    }
}
$press->print();

/** @return list<array{string, Blob}> */
$dynamics = static function (System $system, string $name): array {
    $found = [];
    $staff = $system->staves[0];
    $bottom = Strip::BOTTOM + (int) $system->gap();
    foreach ($system->bars as $n => [$from, $to]) {
        $blobs = array_values(array_filter($staff->blobs, static fn (Blob $blob): bool => DynamicReader::isBelow($blob, $bottom) && $blob->area > 20 && ($staff->strip->pageX[$blob->left] ?? 0.0) > $from && ($staff->strip->pageX[$blob->left] ?? 0.0) < $to));
        $letters = count($blobs) === 1 ? [DynamicReader::WRITTEN[$n]] : str_split(DynamicReader::WRITTEN[$n]);
        if (count($blobs) !== count($letters)) {
            fwrite(STDERR, "{$name}: {$letters[0]}… has ".count($blobs)." parts\n");

            continue;
        }
        array_push($found, ...array_map(null, $letters, $blobs));
    }

    return $found;
};

/** @return list<array{string, Blob}> by their sizes, for nothing else on that staff has them */
$clefs = static fn (System $system): array => array_values(array_filter(array_map(static fn (Blob $blob): array => [ClefReader::bySize($blob)?->value ?? '', $blob], $system->staves[1]->blobs), static fn (array $found): bool => $found[0] !== '' && $found[1]->left > $system->staves[1]->opening->end));

/** @return list<array{string, Blob}> what stands after the clefs and the key */
$times = static fn (System $system, string $time): array => array_filter(array_map(static fn (Staff $staff): array => [$time, TimeReader::ink($staff->strip, OpeningReader::beforeTime($staff->strip, $staff->blobs)[2])], $system->staves), static fn (array $found): bool => $found[1] !== null);

$table = [];
foreach ($names as $name => $time) {
    foreach ((new PhotoReader())->read((string) file_get_contents("{$folder}/{$name}.png"))->systems as $system) {
        foreach (match ($what) {
            'clefs' => $clefs($system), 'times' => $times($system, $time), default => $dynamics($system, $name),
        } as [$letter, $blob]) {
            $table[DrawnDigits::line($letter, $blob)] = true;
        }
    }
}
ksort($table);
echo implode("\n", array_keys($table)), "\n";

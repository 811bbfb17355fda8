<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Tests\Photo\Engraved;
use Tests\Photo\Figures;
use Tests\Photo\Worn;

/*
 * Pages of the demo, engraved by LilyPond, are read note for note, and worn ones nearly so. The reader was not tuned on them.
 */

/** @return list<string> */
function notes_read(string $picture): array
{
    return Figures::notes(PhotoDocument::of((new PhotoReader())->read($picture)->page));
}

dataset('photographed', [
    'quarters and halves' => ['Two Snails', 20, 200],
    'two trebles' => ['Lantern Path', 18, 250],
    'triplets under fingers' => ['Wheelbarrow', 26, 200],
]);

test('a page is read from its print, a scan and a photo', function (string $title, int $size, int $resolution): void {
    $piece = null;
    foreach (demo_tunes() as $tune) {
        $piece = str_contains($tune, "title: {$title}\n") ? tune($tune) : $piece;
    }
    assert($piece !== null);
    $page = Engraved::of($piece, $size, $resolution);
    $written = Figures::notes(Figures::written($piece));
    expect(notes_read($page))->toBe($written);
    foreach ([Worn::scanned($page, 1), Worn::photographed($page, 2)] as $picture) {
        $read = notes_read($picture);
        $right = count(array_intersect($read, $written));
        expect(2 * $right / (count($read) + count($written)))->toBeGreaterThan(0.85, implode(', ', array_diff($written, $read)));
    }
})->with('photographed');

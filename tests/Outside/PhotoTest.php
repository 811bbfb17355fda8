<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Measure;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Sign;
use Nasturtium\Core\Score\SlurEnd;
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

test('slurs, a hairpin, tenuto and another clef are read from the print as they were typed', function (): void {
    $typed = <<<'PAGE'
        title: Copper Gate
        time: 4/4
        key: G
        R: @c4 q1_ 2 3 4 | h5_ < 3 | q2 3 2 1 . | w1
        L: @5=c3 w5_ | h1_ 3 | q5:tenuto 4 3 2 | w5
        R: @c4 > q5 4 3_ 2 | h1 2 . | q3_ 4 5~ 5 | w5
        L: [treble] @c4 h1 3 | w5_ | h3 1_ | w1
        PAGE;
    $piece = tune($typed);
    $read = PhotoPiece::of((new PhotoReader())->read(Engraved::of($piece, 22, 250))->page->pieces[0]);
    $told = static fn (Piece $piece): array => array_map(static fn (Measure $measure): array => [
        array_map(static fn (Event $event): array => [$event->hand->value, (string) $event->onset, array_map(static fn ($note): int => $note->pitch->midi(), $event->notes), array_column($event->ink->marks, 'value'), array_map(static fn (SlurEnd $end): string => $end->starts ? '(' : ')', $event->ink->slurs)], $measure->events()),
        array_map(static fn (Sign $sign): array => [$sign->kind->value, $sign->staff->value, (string) $sign->onset], $measure->signs),
    ], $piece->measures);
    expect($told($read))->toBe($told($piece));
});

test('times, keys and clefs that change are read from the print as they were typed', function (): void {
    $piece = tune(<<<'PAGE'
        title: Two Kites
        time: 4/4
        key: D
        R: @c4 q1 2 3 4 | h5 3 | [time 3/4] q2 3 2 | h.1
        L: @5=c3 w5 | h1 [treble] @c4 h3 | h.1 | [bass] @5=c3 q5 4 3
        R: [key C] q5 4 3 | [time 2/4] [key G] h1 | q3 4 | h5
        L: h.5 | h3 | [treble] @c4 h1 | [bass] @5=c3 h5
        PAGE);
    $told = static fn (Piece $piece): array => array_map(static fn (Measure $measure): array => [
        $measure->key->fifths, $measure->meter->printed(),
        array_map(static fn (Event $event): array => [$event->hand->value, (string) $event->onset, (string) $event->duration->whole, array_map(static fn ($note): int => $note->pitch->midi(), $event->notes)], $measure->events()),
    ], $piece->measures);
    $page = Engraved::of($piece, 22, 250);
    foreach ([$page, Worn::scanned($page, 3)] as $picture) {
        expect($told(PhotoPiece::of((new PhotoReader())->read($picture)->page->pieces[0])))->toBe($told($piece));
    }
});

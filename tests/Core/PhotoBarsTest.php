<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\Change;
use Nasturtium\Core\Formats\Photo\Corrected;
use Nasturtium\Core\Formats\Photo\Correction;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadingFigure;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Event;
use Nasturtium\Core\Score\Meter;

/*
 * Bar lines that were not seen, or are none: put and taken away by one key while a photo is looked at.
 */

/**
 * A bar of a treble and a bass staff in 2/4 from a column on.
 *
 * @param list<int>                $upper quarters on these places
 * @param list<int>                $lower
 * @param list<array{int, string}> $doubts
 */
function lined_bar(array $upper, array $lower, int $from = 100, array $doubts = [], int $line = 0, bool $starts = false, bool $ends = false, array $clefs = []): ReadBar
{
    $signs = static fn (array $places): array => array_map(static fn (int $place, int $i): ReadSign => new ReadSign($from + 20 + 40 * $i, 48 * $i, 48, 0, [new ReadHead($place)]), $places, array_keys($places));
    $to = $from + 20 + 40 * max(count($upper), count($lower));

    return new ReadBar([$signs($upper), $signs($lower)], $starts, $ends, $doubts, $line, [[$from, $to], [$from, $to]], clefs: $clefs);
}

function lined_page(ReadBar ...$bars): ReadPage
{
    return new ReadPage([new ReadPhoto([Clef::Treble, Clef::Bass], 0, new Meter(2, 4), array_values($bars))]);
}

/** @param array<string, int> $at */
function relined(ReadPage $page, Change $change, array $at = []): ReadPage
{
    return Corrected::page($page, [new Correction($change, ...$at)]);
}

/** @return list<array{list<string>, list<list<int>>, list<array{int, string}>}> of each bar its places with their onsets, its columns and its doubts */
function bars_told(ReadPage $page): array
{
    $told = static fn (array $signs): string => implode(' ', array_map(static fn (ReadSign $sign): string => ($sign->heads[0]->place ?? 'rest')."@{$sign->onset}", $signs));

    return array_map(static fn (ReadBar $bar): array => [array_map($told, $bar->staves), $bar->columns, $bar->doubts], $page->pieces[0]->bars);
}

test('a bar line that is none goes, with what was asked of it', function (): void {
    $page = lined_page(lined_bar([1], [2], doubts: [[1, 'line'], [2, 'sum'], [1, 'sign']], starts: true), lined_bar([3], [4], 160, ends: true), lined_bar([5, 6], [7, 8], 300));
    expect(bars_told(relined($page, Change::Join)))->toBe([
        [['1@0 3@48', '2@0 4@48'], [[100, 220], [100, 220]], [[1, 'sign']]],
        [['5@0 6@48', '7@0 8@48'], [[300, 400], [300, 400]], []],
    ]);
    $one = relined($page, Change::Join)->pieces[0]->bars[0];
    expect([$one->repeatStart, $one->repeatEnd])->toBe([true, true]);
});

test('what does not come to its bar with the next one is asked about', function (): void {
    $page = lined_page(lined_bar([1, 2], [2, 3]), lined_bar([3, 4], [4, 5], 200));
    expect(relined($page, Change::Join)->pieces[0]->bars[0]->doubts)->toBe([[1, 'sum'], [2, 'sum']])
        ->and(relined(lined_page(lined_bar([1], [2]), lined_bar([], [4], 160)), Change::Join)->pieces[0]->bars[0]->doubts)->toBe([])
        ->and(relined(lined_page(lined_bar([0, 0], [0, 0], 0), lined_bar([1], [2]), lined_bar([], [4], 160)), Change::Join, ['bar' => 1])->pieces[0]->bars[1]->doubts)->toBe([[1, 'sum']]);
});

test('the last bar of a line goes on in no other, and the last of the piece in none', function (): void {
    $page = lined_page(lined_bar([1, 2], [2, 3]), lined_bar([3, 4], [4, 5], line: 1));
    expect(relined($page, Change::Join))->toEqual($page)->and(relined($page, Change::Join, ['bar' => 1]))->toEqual($page)->and(relined($page, Change::Join, ['bar' => 9]))->toEqual($page);
});

test('a bar line is put before the sign that is looked at, in every staff', function (int $staff, int $sign): void {
    $page = lined_page(lined_bar([1, 2, 3, 4], [5, 6, 7, 8], doubts: [[1, 'sum'], [1, 'count'], [2, 'place']], starts: true, ends: true));
    $split = relined($page, Change::Split, ['staff' => $staff, 'sign' => $sign]);
    expect(bars_told($split))->toBe([
        [['1@0 2@48', '5@0 6@48'], [[100, 188], [100, 188]], [[2, 'place']]],
        [['3@0 4@48', '7@0 8@48'], [[188, 280], [188, 280]], []],
    ])->and(array_map(static fn (ReadBar $bar): array => [$bar->repeatStart, $bar->repeatEnd], $split->pieces[0]->bars))->toBe([[true, false], [false, true]])
        ->and(array_map(static fn (array $bar): array => $bar[0], bars_told(relined($split, Change::Join))))->toBe(array_map(static fn (array $bar): array => $bar[0], bars_told($page)));
})->with([[0, 2], [1, 2]]);

test('a note that goes on over the new line stays before it, and both bars say what they lack', function (): void {
    $bar = new ReadBar([[new ReadSign(120, 0, 96, 0, [new ReadHead(1)])], [new ReadSign(120, 0, 48, 0, [new ReadHead(2)]), new ReadSign(160, 48, 48, 0, [new ReadHead(3)])]], false, false, [], 0, [[100, 200], [100, 200]]);
    $page = lined_page(lined_bar([0, 0], [0, 0], 0), $bar);
    expect(array_slice(bars_told(relined($page, Change::Split, ['bar' => 1, 'staff' => 1, 'sign' => 1])), 1))->toBe([
        [['1@0', '2@0'], [[100, 148], [100, 148]], [[2, 'sum']]],
        [['', '3@0'], [[148, 200], [148, 200]], [[1, 'sum'], [2, 'sum']]],
    ]);
});

test('what is in doubt of a sign stays with it', function (): void {
    $page = lined_page(lined_bar([1, 2, 3, 4], [5, 6, 7, 8], doubts: [[1, 'place', 1], [1, 'sign', 3], [2, 'more', 2], [2, 'twice']]));
    $split = relined($page, Change::Split, ['sign' => 2]);
    expect(array_map(static fn (ReadBar $bar): array => $bar->doubts, $split->pieces[0]->bars))->toBe([
        [[1, 'place', 1], [2, 'twice']],
        [[1, 'sign', 1], [2, 'more', 0]],
    ])->and(relined($split, Change::Join)->pieces[0]->bars[0]->doubts)->toBe([[1, 'place', 1], [2, 'twice'], [1, 'sign', 3], [2, 'more', 2], [1, 'sum'], [2, 'sum']]);
});

test('what two bars ask alike is asked once where they become one', function (): void {
    $page = lined_page(lined_bar([1], [2], doubts: [[1, 'sign', 0], [2, 'place', 0]]), lined_bar([3], [4], 160, doubts: [[1, 'sign', 0], [2, 'more', 0]]));
    expect(relined($page, Change::Join)->pieces[0]->bars[0]->doubts)->toBe([[1, 'sign', 0], [2, 'place', 0], [2, 'more', 1]]);
});

test('before the first sign, and where none is, no bar line is put', function (array $at): void {
    $page = lined_page(lined_bar([1, 2, 3, 4], [5, 6, 7, 8]));
    expect(relined($page, Change::Split, $at))->toEqual($page);
})->with([[['sign' => 0]], [['sign' => 4]], [['staff' => 2]], [['bar' => 1]]]);

test('clefs that change stay where they are', function (): void {
    $signs = lined_bar([], [5, 6, 7, 8])->staves[1];
    $signs[1] = $signs[1]->after(Clef::Treble);
    $bar = lined_bar([1, 2, 3, 4], [5, 6, 7, 8]);
    $page = lined_page($bar->reading([$bar->staves[0], $signs], []));
    $pitches = static fn (ReadPage $page): array => array_merge(...array_map(static fn ($measure): array => array_map(static fn (Event $event): string => $event->notes[0]->pitch->name(), $measure->left), PhotoPiece::of($page->pieces[0])->measures));
    $split = relined($page, Change::Split, ['sign' => 2]);
    expect($split->pieces[0]->bars[1]->clefs)->toBe([1 => Clef::Treble])->and($pitches($split))->toBe($pitches($page))
        ->and($pitches(relined($split, Change::Join)))->toBe($pitches($page));
    $apart = lined_page(lined_bar([1], [5]), lined_bar([2], [6], 160, clefs: [1 => Clef::Treble]));
    expect($pitches(relined($apart, Change::Join)))->toBe($pitches($apart));
});

test('how well a page was read is counted bar by bar, wherever lines were put', function (): void {
    $page = lined_page(lined_bar([1, 2, 3, 4], [5, 6, 7, 8], doubts: [[1, 'sum']]), lined_bar([1, 2], [3, 4], 300));
    $figure = ReadingFigure::of($page, relined($page, Change::Split, ['sign' => 2]));
    // The second half of the bar has other onsets than were read.
    expect([$figure->notes, $figure->right, $figure->doubts, $figure->needless])->toBe([12, 8, 1, 0]);
});

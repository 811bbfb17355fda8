<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\BarNumbers;
use Nasturtium\Core\Formats\Photo\Opening;
use Nasturtium\Core\Formats\Photo\PageBuilder;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\Staff;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Photo\System;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Clef;
use Tests\Photo\DrawnStrip;

/*
 * The small numbers above the left of a line: which bar it begins with.
 */

function line_above(DrawnStrip $drawn, int $end = 100): Staff
{
    return new Staff($drawn->strip(), $drawn->blobs(), new Opening(Clef::Treble, 0, null, $end));
}

test('a number above the clef is that of the first bar of its line', function (string $number): void {
    expect(BarNumbers::above(line_above((new DrawnStrip(600))->digits(20, $number, Strip::TOP - 14))))->toBe((int) $number);
})->with(['5', '9', '16', '38', '146', '80']);

test('it stands above the clef, small, and alone', function (DrawnStrip $drawn, ?int $number): void {
    expect(BarNumbers::above(line_above($drawn)))->toBe($number);
})->with([
    'as near to the staff as it may be' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(20, '17', Strip::TOP - 3), 17],
    'nearer' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(20, '17', Strip::TOP - 2), null],
    'above a note' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(120, '17', Strip::TOP - 14), null],
    'digits as far apart as they may be' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(20, '17', Strip::TOP - 14, 5), 17],
    'two numbers' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(20, '17', Strip::TOP - 14, 12), null],
    'with a point after it' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(20, '17', Strip::TOP - 14)->box(50, Strip::TOP - 19, 5, 5), null],
    'with a speck further away' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(20, '17', Strip::TOP - 14)->box(64, Strip::TOP - 19, 5, 5), 17],
    'with a letter beside it' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(88, '7', Strip::TOP - 14)->box(110, Strip::TOP - 32, 12, 18), null],
    'of four digits' => [fn (): DrawnStrip => (new DrawnStrip(600))->digits(20, '1234', Strip::TOP - 14), null],
    'a block' => [fn (): DrawnStrip => (new DrawnStrip(600))->box(20, Strip::TOP - 34, 14, 20), null],
]);

test('a finger is read in the digits of common printing fonts, and is 1 to 5', function (string $digit, ?int $finger): void {
    $item = (new DrawnStrip())->head(200, 3)->stem(200, 3, false)->digits(194, $digit, Strip::TOP - 10)->items()[0];
    expect($item->heads[0]->finger)->toBe($finger);
})->with([['1', 1], ['3', 3], ['4', 4], ['5', 5], ['8', null], ['0', null]]);

test('a number above the first line that none goes on from is of an exercise', function (array $numbers, array $ofBars): void {
    expect(BarNumbers::ofBars($numbers, [4, 4, 4]))->toBe($ofBars);
})->with([
    [[9, 13, 17], [9, 13, 17]],
    [[9, null, 17], [9, null, 17]],
    'a bar less was read' => [[9, 14, 18], [9, 14, 18]],
    'two less' => [[9, 15, null], [null, 15, null]],
    [[7, null, null], [null, null, null]],
    [[7, 5, 9], [null, 5, 9]],
    'it begins' => [[1, null, null], [1, null, null]],
]);

test('a line in which other bars were read than the page counts is told', function (array $numbers, array $wrong): void {
    expect(BarNumbers::miscounted($numbers, [4, 4, 4]))->toBe($wrong);
})->with([
    'as many' => [[null, 5, 9], []],
    'as many after a pickup' => [[null, 4, 8], []],
    'and where its first number is printed' => [[1, 4, 8], []],
    'two less than were read are no pickup' => [[null, 3, 7], [0]],
    'a pickup later is none' => [[1, 5, 8], [1]],
    'one more in the first' => [[null, 6, 10], [0]],
    'one more in the second' => [[null, 5, 10], [1]],
    'it is not known in which of two' => [[1, null, 10], []],
    'no number' => [[null, null, null], []],
]);

/** @return ReadPhoto two lines of three bars, the second with a number above it */
function lines_with(string $first, string $second): ReadPhoto
{
    $systems = [];
    foreach ([$first, $second] as $number) {
        $drawn = (new DrawnStrip(1080))->barLine(0);
        foreach ([0, 1, 2] as $bar) {
            for ($i = 0; $i < 4; $i++) {
                $drawn->head(170 + 330 * $bar + 60 * $i, 3)->stem(170 + 330 * $bar + 60 * $i, 3, true);
            }
            $drawn->barLine(390 + 330 * $bar);
        }
        $staff = line_above($number === '' ? $drawn : $drawn->digits(16, $number, Strip::TOP - 14), 50);
        $systems[] = $system = new System([$staff]);
        $system->read(0);
    }

    return PageBuilder::of($systems, 0);
}

test('the piece begins with the number on the page, is kept with it, and is typed so', function (): void {
    $read = lines_with('8', '11');
    $page = new ReadPage([$read]);
    expect($read->number)->toBe(8)->and(array_merge(...array_column($read->bars, 'doubts')))->toBe([])
        ->and(ShorthandWriter::write(PhotoPiece::of($read))->text)->toContain("bar: 8\n")
        ->and(PageCodec::read(PageCodec::written($page)))->toEqual($page)
        ->and(PageCodec::read(str_replace('"number":8,', '', PageCodec::written($page)))->pieces[0]->number)->toBe(1)
        ->and(ShorthandWriter::write(PhotoPiece::of(lines_with('', '4')))->text)->not->toContain('bar:');
});

test('where a line has fewer bars than the page counts, its longest is in doubt', function (): void {
    $doubts = static fn (ReadPhoto $read): array => array_map(static fn ($bar): array => $bar->doubts, $read->bars);
    expect($doubts(lines_with('', '4')))->toBe([[], [], [], [], [], []])
        ->and($doubts(lines_with('', '5')))->toBe([[[1, 'count']], [], [], [], [], []]);
});

/**
 * A line of four bars of quarters in both hands.
 *
 * @param list<int> $lines after which of them the bar line is seen
 * @param int       $beats of the second
 */
function with_lines(array $lines, bool $voiced = false, int $beats = 4): ReadPhoto
{
    $staves = [];
    foreach ([Clef::Treble, Clef::Bass] as $clef) {
        $drawn = (new DrawnStrip(1380))->barLine(0);
        foreach ([0, 1, 2, 3] as $bar) {
            for ($i = 0; $i < ($bar === 1 ? $beats : 4); $i++) {
                $x = 110 + 320 * $bar + 60 * $i;
                $drawn->head($x, $voiced ? 5 : 3)->stem($x, $voiced ? 5 : 3, true);
                if ($voiced) {
                    $drawn->head($x, 1)->stem($x, 1, false);
                }
            }
            if (in_array($bar, $lines, true)) {
                $drawn->barLine(370 + 320 * $bar);
            }
        }
        $staves[] = new Staff($drawn->strip(), $drawn->blobs(), new Opening($clef, 0, null, 50));
    }
    $system = new System($staves);
    $system->read(0);

    return PageBuilder::of([$system], 0);
}

test('a bar that is just twice as long in every hand is two, whose line was not seen, and the first is in doubt', function (): void {
    $told = static fn (ReadPhoto $read): array => array_map(static fn (ReadBar $bar): array => [$bar->sums(0)[0], array_unique(array_column($bar->doubts, 1))], $read->bars);
    $sure = [192, []];
    expect($told(with_lines([0, 1, 2, 3])))->toBe([$sure, $sure, $sure, $sure])
        ->and($told(with_lines([0, 2, 3])))->toBe([$sure, [192, ['line']], $sure, $sure])
        // A quarter less, and it is one in which something else is wrong; with two voices it is full.
        ->and($told(with_lines([0, 2, 3], beats: 3))[1][1])->toBe(['sum'])
        ->and(with_lines([0, 1, 2, 3], voiced: true)->bars)->toHaveCount(4);
});

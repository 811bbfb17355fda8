<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\Change;
use Nasturtium\Core\Formats\Photo\Corrected;
use Nasturtium\Core\Formats\Photo\Correction;
use Nasturtium\Core\Formats\Photo\Head;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\Rhythm;
use Nasturtium\Core\Formats\Photo\Shape;
use Nasturtium\Core\Formats\Photo\Stem;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Photo\Voices;
use Nasturtium\Core\Formats\Shorthand\ShorthandReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Hand;
use Nasturtium\Core\Score\Meter;
use Tests\Photo\DrawnStrip;

/*
 * Two voices on one staff: stems up and stems down, told apart, each with its own lengths, to the end where they are typed.
 */

function voiced(float $x, int $place, int $base, ?bool $up, int $dots = 0): Item
{
    $stem = $up === null ? null : new Stem($x, 60, 120, 2);
    if ($stem !== null) {
        $stem->up = $up;
    }

    return new Item($x, $x, [new Head($x, $place, $base > 48, 18, 1.0)], $base, $dots, 0, false, 1.0, $stem);
}

function resting(float $x, int $base, ?int $aside = null): Item
{
    $rest = new Item($x, $x, [], $base, 0, 0);
    $rest->aside = $aside;

    return $rest;
}

/** @return list<string> column, length and onset of what each voice has, where each is as long as the bar or not */
function voices_told(array $items, int $length, array $aside = []): array
{
    return array_map(static function (array $voice) use ($length): string {
        [$kept] = Rhythm::settle($voice, $length);

        return implode(' ', array_map(static fn (Item $item): string => ($item->isRest() ? 'r' : '')."{$item->x}:{$item->ticks()}@{$item->onset}", $kept));
    }, Voices::of($items, $aside, $length));
}

test('stems up are one voice, stems down the other', function (): void {
    $items = [voiced(20, 7, 48, true), voiced(20, 1, 96, false), voiced(60, 6, 48, true), voiced(100, 7, 48, true), voiced(100, 2, 48, false)];
    expect(voices_told($items, 144))->toBe(['20:48@0 60:48@48 100:48@96', '20:96@0 100:48@96'])
        ->and(array_column($items, 'voice'))->toBe([0, 1, 0, 0, 1]);
});

test('stems that go both ways one after another are one voice', function (): void {
    $items = [voiced(20, 7, 48, false), voiced(60, 1, 48, true), voiced(100, 7, 96, false)];
    expect(Voices::of($items, [], 144))->toHaveCount(1);
});

test('where the lengths come to the bar there is one voice, however stems go', function (int $length, int $voices): void {
    expect(Voices::of([voiced(20, 7, 48, true), voiced(20, 1, 96, false)], [], $length))->toHaveCount($voices);
})->with([[144, 1], [143, 2]]);

test('a note a step below another stands beside it, and is struck with it', function (int $apart, int $voices): void {
    $items = [voiced(20, 3, 48, true), voiced(20 + $apart, 2, 96, false), voiced(90, 3, 48, true)];
    expect(Voices::of($items, [], 96))->toHaveCount($voices);
})->with([[28, 2], [29, 1]]);

test('a rest is of the voice that lacks it, and of two as good where it stands in order', function (): void {
    $upper = [voiced(20, 7, 48, true), voiced(100, 7, 96, true)];
    $lower = [voiced(20, 1, 96, false), voiced(140, 1, 96, false)];
    expect(voices_told([$upper[0], $lower[0], resting(60, 48), $upper[1], $lower[1]], 192))->toBe(['20:48@0 r60:48@48 100:96@96', '20:96@0 140:96@96']);
    // Two rests for two gaps, of which either could be in either by its length alone.
    $items = [voiced(20, 7, 48, true), resting(20, 48), voiced(60, 1, 48, false), resting(60, 48)];
    expect(voices_told($items, 96))->toBe(['20:48@0 r60:48@48', 'r20:48@0 60:48@48']);
});

test('a whole note above or below a voice is the other one', function (): void {
    expect(voices_told([voiced(20, 7, 192, null), voiced(20, 1, 96, false), voiced(100, 2, 96, false)], 192))->toBe(['20:192@0', '20:96@0 100:96@96']);
});

test('what is longer than the bar is no voice of it', function (int $length, int $voices): void {
    expect(Voices::of([voiced(20, 7, 192, null), voiced(20, 1, 96, false)], [], $length))->toHaveCount($voices);
})->with([[192, 2], [144, 1]]);

test('a rest outside the staff is taken where a voice lacks it, and a number there is none', function (): void {
    $items = [voiced(20, 7, 48, true), voiced(20, 1, 48, false), voiced(60, 7, 48, true)];
    expect(voices_told($items, 96, [resting(60, 48, 1)]))->toBe(['20:48@0 60:48@48', '20:48@0 r60:48@48']);
    // A number above or below a note of its own voice is none either, though it looks like one.
    expect(voices_told($items, 96, [resting(24, 48, 1)])[1])->toBe('20:96@0');
    $full = [voiced(20, 7, 48, true), voiced(20, 1, 96, false), voiced(60, 7, 48, true)];
    expect(voices_told($full, 96, [resting(60, 48, 1)]))->toBe(['20:48@0 60:48@48', '20:96@0']);
});

test('two stems that run together are told apart by their heads', function (): void {
    $drawn = (new DrawnStrip())->head(200, 3)->stem(200, 3, true)->head(220, 2, true)->stem(220, 2, false);
    $items = $drawn->items();
    expect(array_map(static fn (Item $item): array => [$item->base, $item->stem?->up, $item->heads[0]->place], $items))->toBe([[48, true, 3], [96, false, 2]]);
});

test('a head at which a stem of its own begins is of no chord above it', function (): void {
    $drawn = (new DrawnStrip())->head(200, 7)->head(200, 5)->head(200, 3)->box(209, Strip::row(7) - 56, 2, Strip::row(3) - Strip::row(7) + 54)->stem(200, 3, false);
    expect(array_map(static fn (Item $item): array => array_column($item->heads, 'place'), $drawn->items()))->toEqualCanonicalizing([[5, 7], [3]]);
});

test('a hollow chord takes no head that has a stem of its own', function (): void {
    $drawn = (new DrawnStrip())->head(200, 5, true)->stem(200, 5, true)->head(200, 1, true)->stem(200, 1, false);
    expect(array_map(static fn (Item $item): array => array_column($item->heads, 'place'), $drawn->items()))->toEqualCanonicalizing([[5], [1]]);
});

test('a rest above or below the staff is set aside, within it it is a rest', function (int $y, ?int $aside): void {
    $drawn = (new DrawnStrip())->sign(Shape::QuarterRest, 200, $y);
    expect(array_map(static fn (Item $item): ?int => $item->aside, $drawn->items()))->toBe([$aside]);
})->with([[128, null], [Strip::TOP + 1, null], [Strip::BOTTOM + 20, 1], [Strip::TOP - 20, 0]]);

test('a whole rest that hangs from another line is of two voices', function (int $y, array $aside): void {
    expect(array_map(static fn (Item $item): ?int => $item->aside, (new DrawnStrip())->box(200, $y, 20, 9)->items()))->toBe($aside);
})->with([[Strip::TOP + 17, [null]], [Strip::TOP + 1, [0]], [Strip::TOP + 65, [1]], [Strip::TOP + 85, []]]);

/** A bar of the left hand in 3/4: three quarters above a half and a quarter. */
function two_voices(): ReadPage
{
    $sign = static fn (int $x, int $place, int $ticks, int $voice): ReadSign => new ReadSign($x, 0, $ticks, 0, [new ReadHead($place)], voice: $voice);
    $bar = (new ReadBar([[], []], false, false, []))
        ->withStaff(0, [new ReadSign(20, 0, 144, 0, [])])
        ->withStaff(1, [$sign(20, 5, 48, 0), $sign(20, -1, 96, 1), $sign(60, 6, 48, 0), $sign(100, 7, 48, 0), $sign(100, 0, 48, 1)]);

    return new ReadPage([new ReadPhoto([Clef::Treble, Clef::Bass], 0, new Meter(3, 4), [$bar])]);
}

test('each voice has its own onsets, is kept, and is typed as a second voice', function (): void {
    $page = two_voices();
    $told = array_map(static fn (array $note): array => [$note['onset'], $note['dur'], $note['midi']], PhotoDocument::of($page)['notes']);
    expect($told)->toEqual([[0, 1, 52], [0, 2, 41], [1, 1, 53], [2, 1, 55], [2, 1, 43]])
        ->and(PageCodec::read(PageCodec::written($page)))->toEqual($page)
        ->and($page->pieces[0]->bars[0]->sums(1))->toBe([144, 144]);
    $piece = PhotoPiece::of($page->pieces[0]);
    expect($piece->measures[0]->of(Hand::Left))->toHaveCount(3)->and(ShorthandWriter::write($piece)->text)->toContain('L2: ');
    $typed = ShorthandReader::read(ShorthandWriter::write($piece)->text)->piece;
    expect(count($typed?->measures[0]->events() ?? []))->toBe(count($piece->measures[0]->events()));
});

test('what is changed in one voice leaves the other where it is', function (): void {
    $changed = Corrected::page(two_voices(), [new Correction(Change::Length, 0, 0, 1, 1, value: 2)])->pieces[0]->bars[0];
    expect(array_map(static fn (ReadSign $sign): int => $sign->onset, $changed->staves[1]))->toBe([0, 0, 48, 96, 96])->and($changed->sums(1))->toBe([144, 144]);
    $longer = Corrected::page(two_voices(), [new Correction(Change::Length, 0, 0, 1, 0, value: 2)])->pieces[0]->bars[0];
    expect(array_map(static fn (ReadSign $sign): int => $sign->onset, $longer->staves[1]))->toBe([0, 0, 96, 144, 96])->and($longer->sums(1))->toBe([192, 144]);
    $added = Corrected::page(two_voices(), [new Correction(Change::Add, 0, 0, 1, 4)])->pieces[0]->bars[0];
    expect($added->sums(1))->toBe([144, 192]);
});

test('with another time a staff is in doubt where one of its voices does not come to it', function (): void {
    $doubts = static fn (ReadPage $page): array => Corrected::page($page, [new Correction(Change::Time, 0)])->pieces[0]->bars[1]->doubts ?? [];
    $page = two_voices();
    $bar = $page->pieces[0]->bars[0];
    // From 4/4 to 3/4.
    $both = new ReadPage([$page->pieces[0]->with(time: new Meter(4, 4), bars: [$bar, $bar])]);
    expect($doubts($both))->toBe([]);
    $short = $bar->withStaff(1, array_slice($bar->staves[1], 0, 4));
    expect($doubts(new ReadPage([$page->pieces[0]->with(time: new Meter(4, 4), bars: [$bar, $short])])))->toBe([[2, 'sum']]);
});

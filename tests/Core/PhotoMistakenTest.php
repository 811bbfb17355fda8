<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\BarLineFinder;
use Nasturtium\Core\Formats\Photo\Blob;
use Nasturtium\Core\Formats\Photo\Blobs;
use Nasturtium\Core\Formats\Photo\Head;
use Nasturtium\Core\Formats\Photo\Heads;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\RestReader;
use Nasturtium\Core\Formats\Photo\Rhythm;
use Nasturtium\Core\Formats\Photo\Rings;
use Nasturtium\Core\Formats\Photo\Shape;
use Nasturtium\Core\Formats\Photo\Stem;
use Nasturtium\Core\Formats\Photo\StemHeads;
use Nasturtium\Core\Formats\Photo\Stems;
use Nasturtium\Core\Formats\Photo\Strip;
use Tests\Photo\DrawnStrip;

/*
 * What looks like another sign than it is: each of these was read wrongly on a page once.
 */

/** @return list<string> letters and places, as `v7`; a rest without */
function told_of(DrawnStrip $drawn): array
{
    return array_map(
        static fn (Item $item): string => ['192' => 'w', '96' => 'h', '48' => 'q', '24' => 'v', '12' => 'x'][(string) $item->base].str_repeat('.', $item->dots).implode(',', array_column($item->heads, 'place')),
        $drawn->items(),
    );
}

test('between a stem and its flag there is no head', function (): void {
    // A flag that comes back to its stem and ends in a stroke, as in some fonts: its hole is as large as a half note's.
    $drawn = (new DrawnStrip())->head(200, 7)->stem(200, 7, false, 4.0)->head(203, 3, true)->stem(203, 3, true, 2.6);
    expect(array_map(static fn (Item $item): array => array_column($item->heads, 'place'), $drawn->items()))->toBe([[7]]);
});

test('a whole note stands as close before another note only in an accidental', function (int $apart, array $told): void {
    $drawn = (new DrawnStrip(500))->whole(200, 3)->head(200 + $apart, 3)->stem(200 + $apart, 3, true);
    expect(told_of($drawn))->toBe($told);
})->with([[34, ['q3']], [38, ['w3', 'q3']]]);

test('the bow of a tie in a line of the staff is no rest', function (bool $tied, array $told): void {
    $drawn = (new DrawnStrip(500))->head(150, 5)->stem(150, 5, false)->head(220, 5)->stem(220, 5, false);
    // As thick as a block, where a whole rest hangs.
    $drawn->box($tied ? 168 : 300, Strip::TOP + 17, 34, 8);
    expect(told_of($drawn))->toBe($told);
})->with([[true, ['q5', 'q5']], [false, ['q5', 'q5', 'w']]]);

test('a number at the left of a stem is no flag, a beam that comes from there is one', function (int $wide, array $told): void {
    $drawn = (new DrawnStrip())->head(200, 3)->stem(200, 3, true)->box(209 - $wide, Strip::row(3) - 56, $wide, 10);
    expect(told_of($drawn))->toBe($told);
})->with([[14, ['q3']], [17, ['q3']], [18, ['v3']]]);

test('filled heads in thirds are one chord, though their stem is seen at the last of them alone', function (int $aside, array $told): void {
    $drawn = (new DrawnStrip())->head(200, 3)->stem(200, 3, false)->head(200 + $aside, 5)->head(200 + $aside, 7);
    expect(told_of($drawn))->toBe($told);
})->with([[0, ['q3,5,7']], [5, ['q3,5,7']], [9, ['q3']]]);

test('of a hollow chord the head at the other side of the stem is seen beside the one that was found last', function (): void {
    $strip = (new DrawnStrip())->head(200, 3, true)->head(200, 7, true)->head(181, 6, true)->stem(200, 7, false, 6.5)->strip();
    $stem = new Stem(190.5, Strip::row(7), Strip::row(7) + 104, 2);
    $found = Rings::beside($strip, [new Head(200, 3, true, 21.0, 0.95)], $stem);
    expect(array_map(static fn (Head $head): int => $head->place, $found))->toEqualCanonicalizing([7, 6]);
});

test('a thin block right above a head is tenuto, elsewhere it is a rest', function (int $aside, int $high, array $told): void {
    expect(told_of((new DrawnStrip())->head(200, 3)->stem(200, 3, false)->box(190 + $aside, Strip::TOP + 24 - intdiv($high, 2), 20, $high)))->toBe($told);
})->with([[0, 5, ['q3']], [60, 5, ['q3', 'w']], [0, 7, ['q3', 'w']]]);

test('the ball of a rest that is torn off is one with it', function (int $gap, int $parts): void {
    $drawn = (new DrawnStrip())->sign(Shape::EighthRest, 200, 128)->blobs();
    $rest = array_values(array_filter($drawn, static fn (Blob $blob): bool => $blob->left < 220 && $blob->right > 198 && $blob->height() > 20 && $blob->width() < 40))[0];
    $ball = $rest->within($rest->left, $rest->left + 10, $rest->top, $rest->top + 10) ?? $rest;
    $stroke = $rest->within($rest->left + 10 + $gap, $rest->right, $rest->top, $rest->bottom) ?? $rest;
    expect(RestReader::whole([$ball, $stroke]))->toHaveCount($parts);
})->with([[0, 1], [3, 2]]);

test('a dot to which a line or a tie clings is a dot, a longer stroke is none', function (int $tail, bool $isDot): void {
    $blobs = Blobs::of((new DrawnStrip())->dot(200, 5)->box(199, Strip::row(5) + 3, 2, $tail)->strip()->bareRows);
    $blob = array_values(array_filter($blobs, static fn ($blob): bool => abs($blob->x() - 200) < 8))[0];
    expect($blob->isDot())->toBe($isDot);
})->with([[0, true], [9, true], [11, false]]);

test('a stem of which only a piece is seen between its chord and its beams is one', function (int $bare, int $stems): void {
    // Heads all along its upper part, beams on its lower one.
    $drawn = (new DrawnStrip())->stem(200, 7, false, 6.0)->box(190, Strip::row(7) - 4, 18, 44);
    $from = Strip::row(7) + 40 + $bare;
    $drawn->box(190, $from, 60, Strip::row(7) + 98 - $from);
    expect(array_filter(Stems::of($drawn->strip()), static fn (Stem $stem): bool => abs($stem->x - 190.5) < 3))->toHaveCount($stems);
})->with([[14, 1], [8, 0]]);

test('of heads at both ends of a stem the fewer are none', function (): void {
    // A second above, and a short beam below that is as thick as a head.
    $drawn = (new DrawnStrip())->head(192, 6)->head(211, 7)->stem(211, 6, false, 3.4)->head(192, 0);
    expect(told_of($drawn))->toBe(['v6,7']);
});

test('a stem between two hollow heads a step apart goes where more of it is, however sure each of them is', function (bool $up): void {
    $stem = $up ? new Stem(206.3, 88, 156, 3) : new Stem(206.3, 140, 208, 3);
    $heads = [new Head(198.5, 1, true, 22.0, 0.92), new Head(217.0, 2, true, 23.0, 0.985)];
    (new StemHeads((new DrawnStrip())->strip(), [$stem]))->given($heads);
    expect($stem->up)->toBe($up)->and($stem->heads)->toHaveCount(2);
})->with([true, false]);

test('a stem from line to line is none of the bar lines of a grand staff, however thick, where heads are at its side', function (int $width): void {
    $isOfHeads = static fn (DrawnStrip $drawn): bool => BarLineFinder::isOfHeads($drawn->strip(), 208, 208 + $width, true);
    $heads = static fn (): DrawnStrip => (new DrawnStrip())->head(200, 1)->head(200, 3);
    expect($isOfHeads($heads()->box(208, Strip::TOP - 4, $width, 76)))->toBeTrue()
        // A note right before a bar line, which goes on to the other staff.
        ->and($isOfHeads($heads()->box(208, Strip::TOP, $width, Strip::HEIGHT - Strip::TOP)))->toBeFalse()
        ->and($isOfHeads((new DrawnStrip())->box(208, Strip::TOP, $width, 66)->dot(198, 3)->dot(198, 5)))->toBeFalse();
})->with([3, 5]);

test('the third head of a hollow chord is seen by its ink, though its hole is blurred', function (): void {
    $drawn = (new DrawnStrip())->head(200, 3, true)->head(200, 5, true)->stem(200, 3, true, 5.5)->head(200, 7, true);
    $drawn->box(196, Strip::row(7) - 2, 8, 5);
    $strip = $drawn->strip();
    $stem = new Stem(209.5, Strip::row(3) - 88, Strip::row(3) - 2, 2);
    $own = [new Head(200, 3, true, 20, 0.95), new Head(200, 5, true, 20, 0.95)];
    expect(array_map(static fn (Head $head): int => $head->place, Rings::beside($strip, $own, $stem)))->toBe([7]);
});

test('a filled head that is torn is in doubt', function (): void {
    $doubts = static fn (DrawnStrip $drawn): array => array_map(static fn (Head $head): ?string => $head->doubt, Heads::of($drawn->strip(), 20));
    $whole = (new DrawnStrip())->head(200, 5)->stem(200, 5, false);
    expect($doubts($whole))->toBe([null]);
    $torn = (new DrawnStrip())->head(200, 5)->stem(200, 5, false);
    $torn->paper(196, Strip::row(5) - 1, 10);
    $torn->paper(198, Strip::row(5) + 1, 6);
    expect($doubts($torn))->toBe(['place']);
});

test('of two heads a step apart none is in doubt, though one hides a part of the other', function (): void {
    $drawn = (new DrawnStrip())->head(192, 4)->head(211, 5)->stem(211, 4, false);
    $drawn->paper(186, Strip::row(4) + 3, 8);
    $drawn->paper(186, Strip::row(4) + 5, 8);
    expect(array_map(static fn (Head $head): ?string => $head->doubt, $drawn->items()[0]->heads))->toBe([null, null]);
});

test('two heads a step apart are two, however they run together, and a block is none', function (int $wide, array $places): void {
    $drawn = (new DrawnStrip())->head(100, 3)->head(121, 4);
    $from = (int) strpos($drawn->strip()->bareRows[Strip::row(3)], "\1");
    $drawn->box(100, Strip::row(3) - 5, $from + $wide - 100, 11);
    expect(array_column(Heads::of($drawn->strip(), 0), 'place'))->toBe($places)
        ->and(Heads::of((new DrawnStrip())->box(80, Strip::row(3) - 7, $wide, 14)->strip(), 0))->toBe([]);
})->with([[32, [3, 4]], [42, [3, 4]], [43, [4]]]);

test('an upright stroke before a stem that goes down is of an accidental, not of a second head', function (int $stroke, int $heads): void {
    // What is left of its head is as full as a head.
    $drawn = (new DrawnStrip())->head(210, 4)->stem(210, 4, false)->box(183, Strip::row(5) - 6, 15, 12)->box(183, Strip::row(5) + 6 - $stroke, 3, $stroke);
    expect($drawn->items()[0]->heads)->toHaveCount($heads);
})->with([[12, 2], [40, 1]]);

test('of the note before it nothing is taken for an accidental', function (int $apart): void {
    $drawn = (new DrawnStrip(500))->head(200, 3)->stem(200, 3, true)->head(200 + $apart, 3)->stem(200 + $apart, 3, true);
    expect(array_map(static fn (Item $item): array => [$item->heads[0]->sign, $item->heads[0]->doubt], $drawn->items()))->toBe([[null, null], [null, null]]);
})->with([28, 31]);

test('a block is a rest though a part of a line clings to it', function (): void {
    $drawn = (new DrawnStrip())->box(200, Strip::TOP + 17, 22, 9)->box(207, Strip::TOP + 14, 10, 3)->box(203, Strip::TOP + 26, 8, 2);
    expect(told_of($drawn))->toBe(['w']);
});

/** A note under a beam, or with a flag of so many rows. */
function note_of(float $x, int $beams, ?int $flag, int $base = Item::QUARTER): Item
{
    $item = new Item($x, $x, [new Head($x, 3, false, 18, 1.0)], $base >> $beams, 0, $beams, false, 1.0, new Stem($x + 9, 60, 120, 2));
    $item->flag = $flag;

    return $item;
}

/** @return list<string> base and dots of what is kept, and whether it is sure */
function settled_to(array $items, int $length): array
{
    [$kept, $sure] = Rhythm::settle($items, $length);

    return [...array_map(static fn (Item $item): string => $item->base.str_repeat('.', $item->dots), $kept), $sure ? 'sure' : 'in doubt'];
}

test('a second beam that was seen is sooner there than a dot that was not is missing', function (): void {
    // An eighth and a sixteenth under one beam in the time of a quarter: the dot was not seen.
    expect(array_slice(settled_to([note_of(20, 1, null), note_of(60, 2, null)], Item::QUARTER), 0, 2))->toBe(['24.', '12']);
});

test('before a last, shorter note under its beam a dot was not seen, and nobody doubts it', function (bool $joined, string $says): void {
    [$first, $last] = [note_of(20, 1, null), note_of(60, 2, null)];
    $first->beamedOn = $joined;
    expect(settled_to([$first, $last], Item::QUARTER))->toBe(['24.', '12', $says]);
})->with([[true, 'sure'], [false, 'in doubt']]);

test('a short stroke at a stem is read away, a whole flag sooner asks for the dot before it', function (int $flag, array $told): void {
    expect(settled_to([note_of(20, 0, 0), note_of(60, 1, $flag)], 2 * Item::QUARTER))->toBe($told);
})->with([[10, ['48', '48', 'sure']], [40, ['48.', '24', 'in doubt']]]);

test('a whole note that does not go into the bar is a half whose stem was not seen', function (): void {
    $whole = new Item(20, 20, [new Head(20, 3, true, 24, 0.95)], 4 * Item::QUARTER, 1, 0);
    expect(settled_to([$whole], 3 * Item::QUARTER))->toBe(['96.', 'in doubt']);
});

test('the note of a metronome mark is played by nobody, one without the two lines is', function (bool $marked, int $apart, array $told): void {
    // In the space above the staff, where no ledger line would be missed.
    $drawn = (new DrawnStrip(500))->head(150, 3)->stem(150, 3, true)->head(300, 9)->stem(300, 9, true, 3.0);
    if ($marked) {
        $drawn->box(300 + $apart, Strip::TOP - 26, 20, 3)->box(300 + $apart, Strip::TOP - 18, 20, 3);
    }
    expect(told_of($drawn))->toBe($told);
})->with([[true, 24, ['q3']], [true, 36, ['q3']], [true, 44, ['q3', 'q9']], [false, 24, ['q3', 'q9']]]);

test('what is of another sign takes no place of a head', function (): void {
    $strip = (new DrawnStrip())->head(200, 3)->strip();
    [$best] = Heads::of($strip, 20);
    // The one that is seen best is of something else: the next best of the same head is not lost with it.
    $found = Heads::of($strip, 20, static fn (Head $head): bool => $head->sure < $best->sure);
    expect($found)->toHaveCount(1)->and($found[0]->place)->toBe(3)->and($found[0]->sure)->toBeLessThan($best->sure);
});

test('a longer note with less room after it than a shorter one is looked at again', function (float $second, string $says): void {
    // An eighth that was perhaps a quarter, and a quarter that was perhaps an eighth; each as it was read fills the bar.
    $items = [note_of(20, 1, 10), note_of($second, 0, 26), note_of(260, 0, 0), note_of(400, 1, 24)];
    expect(settled_to($items, 3 * Item::QUARTER))->toBe(['24', '48', '48', '24', $says]);
})->with([[156.0, 'in doubt'], [154.0, 'sure'], [80.0, 'sure']]);

<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\Accidentals;
use Nasturtium\Core\Formats\Photo\BarLine;
use Nasturtium\Core\Formats\Photo\BarLineFinder;
use Nasturtium\Core\Formats\Photo\Blob;
use Nasturtium\Core\Formats\Photo\Blobs;
use Nasturtium\Core\Formats\Photo\Head;
use Nasturtium\Core\Formats\Photo\Heads;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\LineFit;
use Nasturtium\Core\Formats\Photo\Numbers;
use Nasturtium\Core\Formats\Photo\OpeningReader;
use Nasturtium\Core\Formats\Photo\Rings;
use Nasturtium\Core\Formats\Photo\Shape;
use Nasturtium\Core\Formats\Photo\Shapes;
use Nasturtium\Core\Formats\Photo\Staff;
use Nasturtium\Core\Formats\Photo\Stem;
use Nasturtium\Core\Formats\Photo\Stems;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Photo\System;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Mark;
use Tests\Photo\DrawnStrip;

/*
 * Signs on a staff that is drawn pixel by pixel: each is found where it stands, and what is none is not.
 */

/** @return list<string> heads as `120 f4`: their column, filled or hollow, their place */
function heads_found(DrawnStrip $drawn): array
{
    return array_map(
        static fn (Head $head): string => ((int) (round($head->x / 10) * 10)).' '.($head->hollow ? 'h' : 'f').$head->place,
        Heads::of($drawn->strip(), 20),
    );
}

/** @return list<string> `q`, `v.`, `rh` and so on, as the shorthand's letters */
function signs_read(DrawnStrip $drawn, array $bars = []): array
{
    return array_map(static function (Item $item): string {
        $letter = ['192' => 'w', '96' => 'h', '48' => 'q', '24' => 'v', '12' => 'x'][(string) $item->base] ?? '?';

        return ($item->isRest() ? 'r' : '').$letter.str_repeat('.', $item->dots);
    }, array_values(array_filter($drawn->items($bars), static fn (Item $item): bool => $item->aside === null)));
}

dataset('places', static function (): iterable {
    foreach (range(-6, 14) as $place) {
        yield "place {$place}" => [$place];
    }
});

test('a filled head is found on its place, from three ledger lines below to three above', function (int $place): void {
    $up = $place < 4;
    expect(heads_found((new DrawnStrip())->head(200, $place)->stem(200, $place, $up)))->toBe(["200 f{$place}"]);
})->with('places');

test('so is a half note', function (int $place): void {
    $items = (new DrawnStrip())->head(200, $place, true)->stem(200, $place, $place < 4)->items();
    expect($items)->toHaveCount(1)
        ->and($items[0]->heads[0]->place)->toBe($place)
        ->and($items[0]->ticks())->toBe(2 * Item::QUARTER);
})->with('places');

test('and a whole note', function (int $place): void {
    $items = (new DrawnStrip())->whole(200, $place)->items();
    expect($items)->toHaveCount(1)
        ->and($items[0]->heads[0]->place)->toBe($place)
        ->and($items[0]->ticks())->toBe(4 * Item::QUARTER);
})->with('places');

test('where lines are as thick as in bold print, a half note on one is found all the same', function (int $place): void {
    $items = (new DrawnStrip(400, 4))->head(200, $place, true)->stem(200, $place, true)->items();
    expect(array_map(static fn (Item $item): int => $item->heads[0]->place, $items))->toBe([$place]);
})->with(['on the second line' => [2], 'on a ledger line' => [-2], 'in a space' => [1]]);

test('outside the staff a head without its ledger lines is a letter', function (): void {
    $drawn = new DrawnStrip();
    // As the o of a word: no line goes through it.
    for ($x = 100; $x <= 300; $x += 100) {
        $drawn->box($x - 8, Strip::row(-4) - 6, 16, 13);
    }
    expect(heads_found($drawn))->toBe([]);
});

test('thirds and a whole chord are as many heads as there are', function (array $places): void {
    $drawn = new DrawnStrip();
    foreach ($places as $place) {
        $drawn->head(200, $place);
    }
    $drawn->stem(200, max($places), true)->stem(200, min($places), true, 1.0 * (max($places) - min($places)) / 2 + 1);
    $items = $drawn->items();
    expect($items)->toHaveCount(1)
        ->and(array_map(static fn (Head $head): int => $head->place, $items[0]->heads))->toBe($places)
        ->and($items[0]->ticks())->toBe(Item::QUARTER);
})->with(['a third' => [[2, 4]], 'a triad' => [[0, 2, 4]], 'a fifth' => [[0, 4]], 'a sixth on ledger lines' => [[-2, 3]]]);

test('a stem is a stem up or down, and no shorter stroke is', function (bool $up): void {
    $stems = Stems::of((new DrawnStrip())->head(200, 4)->stem(200, 4, $up)->box(300, 100, 2, 20)->strip());
    expect($stems)->toHaveCount(1)->and(abs($stems[0]->x - ($up ? 209.5 : 190.5)))->toBeLessThan(1.5);
})->with(['up' => [true], 'down' => [false]]);

test('beams are counted at the free end of a stem', function (bool $up, int $beams, array $signs): void {
    $drawn = (new DrawnStrip())->head(150, 4)->stem(150, 4, $up)->head(210, 4)->stem(210, 4, $up);
    for ($nth = 0; $nth < $beams; $nth++) {
        $drawn->beam(150, 210, 4, $up, $nth);
    }
    expect(signs_read($drawn))->toBe($signs);
})->with([
    'none' => [true, 0, ['q', 'q']],
    'one, up' => [true, 1, ['v', 'v']],
    'one, down' => [false, 1, ['v', 'v']],
    'two, up' => [true, 2, ['x', 'x']],
    'two, down' => [false, 2, ['x', 'x']],
]);

test('a stub is of its own note alone', function (): void {
    $drawn = (new DrawnStrip())->head(150, 4)->stem(150, 4, true)->head(210, 4)->stem(210, 4, true)->beam(150, 210, 4, true)->beam(192, 210, 4, true, 1)->dot(170, 5);
    expect(signs_read($drawn))->toBe(['v.', 'x']);
});

test('what is under one beam is told so, up to its last note', function (): void {
    $drawn = new DrawnStrip();
    foreach ([100, 150, 200, 280] as $x) {
        $drawn->head($x, 4)->stem($x, 4, true);
    }
    $drawn->beam(100, 200, 4, true);
    expect(array_map(static fn (Item $item): bool => $item->beamedOn, $drawn->items()))->toBe([true, true, false, false]);
});

test('a dot makes the note before it longer, beside it or in the space above its line', function (int $place, int $dot, string $sign): void {
    expect(signs_read((new DrawnStrip())->head(150, $place)->stem(150, $place, true)->dot(172, $dot)))->toBe([$sign]);
})->with([
    'in its space' => [3, 3, 'q.'],
    'above its line' => [4, 5, 'q.'],
    // Two spaces off it is dust, or of something else.
    'too far above' => [3, 7, 'q'],
    'below its line' => [4, 1, 'q'],
]);

test('a dot above the head is staccato and makes nothing longer', function (): void {
    expect(signs_read((new DrawnStrip())->head(150, 3)->stem(150, 3, false)->dot(150, 6)))->toBe(['q']);
});

test('the dots of a repeat are of no note', function (): void {
    $bar = new BarLine(190, 200, 8, true, false);
    $drawn = (new DrawnStrip())->head(150, 3)->stem(150, 3, false)->dot(178, 3)->dot(178, 5)->barLine(190, 10);
    expect(signs_read($drawn, [$bar]))->toBe(['q']);
});

test('a whole rest hangs, a half rest lies', function (int $y, string $sign): void {
    expect(signs_read((new DrawnStrip())->box(150, $y, 20, 8)))->toBe([$sign]);
})->with(['hanging from the fourth line' => [Strip::TOP + 17, 'rw'], 'lying on the third' => [Strip::TOP + 24, 'rh']]);

test('a block elsewhere is no rest', function (int $y): void {
    expect(signs_read((new DrawnStrip())->box(150, $y, 20, 8)))->toBe([]);
})->with(['above the staff' => [60], 'below it' => [190], 'between the lowest lines' => [Strip::BOTTOM - 12]]);

test('a quarter rest is one, and its thick middle is no head', function (): void {
    $items = (new DrawnStrip())->sign(Shape::QuarterRest, 150, 128)->items();
    expect($items)->toHaveCount(1)->and($items[0]->isRest())->toBeTrue()->and($items[0]->ticks())->toBe(Item::QUARTER);
});

test('an accidental is of the note after it on its place', function (Shape $shape, int $place, ?int $sign): void {
    $drawn = (new DrawnStrip())->head(200, $place)->stem(200, $place, true);
    $middle = $shape === Shape::Flat ? Strip::row($place) - 10 : Strip::row($place);
    $items = $drawn->sign($shape, 164, $middle)->items();
    $notes = array_values(array_filter($items, static fn (Item $item): bool => ! $item->isRest()));
    expect($notes)->toHaveCount(1)->and($notes[0]->heads[0]->sign)->toBe($sign);
})->with([
    'a sharp in a space' => [Shape::Sharp, 3, 1],
    'a sharp on a line' => [Shape::Sharp, 2, 1],
    'a flat in a space' => [Shape::Flat, 5, -1],
    'a natural in a space' => [Shape::Natural, 3, 0],
    'a rest is none' => [Shape::QuarterRest, 4, null],
]);

test('one that stands two places away is of another note', function (): void {
    $items = (new DrawnStrip())->head(200, 3)->stem(200, 3, true)->sign(Shape::Sharp, 164, Strip::row(6))->items();
    expect($items[0]->heads[0]->sign)->toBeNull();
});

test('a finger number is of the note above or below it', function (Shape $digit, int $finger, int $y): void {
    $items = (new DrawnStrip())->head(200, 3)->stem(200, 3, true)->sign($digit, 194, $y)->items();
    expect($items[0]->heads[0]->finger)->toBe($finger);
})->with([
    'one above' => [Shape::One, 1, 70],
    'two above' => [Shape::Two, 2, 70],
    'three below' => [Shape::Three, 3, 190],
    'four above' => [Shape::Four, 4, 70],
    'five below' => [Shape::Five, 5, 190],
]);

test('of two numbers above a chord the upper is of the upper note, whichever begins further left', function (int $left): void {
    $drawn = (new DrawnStrip())->head(200, 2)->head(200, 4)->stem(200, 4, true)->stem(200, 2, true, 2.0);
    $items = $drawn->sign(Shape::Three, 194, 40)->sign(Shape::Five, 194 + $left, 20)->items();
    expect(array_map(static fn (Head $head): ?int => $head->finger, $items[0]->heads))->toBe([3, 5]);
})->with(['the upper' => [-2], 'the lower' => [2]]);

test('one number below a chord is of its lowest note', function (): void {
    $drawn = (new DrawnStrip())->head(200, 4)->head(200, 6)->stem(200, 6, true)->stem(200, 4, true, 2.0);
    $items = $drawn->sign(Shape::One, 196, 190)->items();
    expect(array_map(static fn (Head $head): ?int => $head->finger, $items[0]->heads))->toBe([1, null]);
});

test('a number of the other staff, or one among letters, is no finger', function (DrawnStrip $drawn, int $bottom): void {
    $items = $drawn->head(200, 3)->stem(200, 3, true)->sign(Shape::Three, 194, 200)->items([], $bottom);
    expect($items[0]->heads[0]->finger)->toBeNull();
})->with([
    'nearer to the staff below' => [new DrawnStrip(), 190],
    'with a letter at its side' => [(new DrawnStrip())->box(180, 192, 10, 16), Strip::HEIGHT],
]);

test('a bar line goes from line to line and no further', function (DrawnStrip $drawn, int $count): void {
    expect(BarLineFinder::strokes($drawn->strip(), false, false))->toHaveCount($count);
})->with([
    'a bar line' => [(new DrawnStrip())->barLine(200), 1],
    'one that leans by three pixels' => [(new DrawnStrip())->box(200, Strip::TOP, 3, 34)->box(201, Strip::TOP + 32, 3, 34), 1],
    'a stem beyond the staff' => [(new DrawnStrip())->box(200, Strip::TOP - 20, 3, 4 * Strip::SPACE + 22), 0],
    'a stroke that ends at the third line' => [(new DrawnStrip())->box(200, Strip::TOP, 3, 34), 0],
    'two of them' => [(new DrawnStrip())->barLine(100)->barLine(300), 2],
    'one that a slur passes right above' => [(new DrawnStrip())->barLine(200)->box(150, Strip::TOP - 10, 100, 5), 1],
    'one that the arms of a hairpin pass below' => [(new DrawnStrip())->barLine(200)->box(150, Strip::BOTTOM + 7, 100, 3)->box(150, Strip::BOTTOM + 14, 100, 3), 1],
    'a stem whose beam goes to one side' => [(new DrawnStrip())->box(200, Strip::TOP - 10, 3, 4 * Strip::SPACE + 12)->box(200, Strip::TOP - 12, 60, 8), 0],
    'a stem that a beam passes' => [(new DrawnStrip())->barLine(200)->box(150, Strip::TOP - 13, 100, 9), 0],
]);

test('in a grand staff it may go on to the other one', function (): void {
    $strip = (new DrawnStrip())->box(200, Strip::TOP, 3, 120)->strip();
    expect(BarLineFinder::strokes($strip, false, false))->toBe([])
        ->and(BarLineFinder::strokes($strip, false, true))->toHaveCount(1)
        ->and(BarLineFinder::strokes($strip, true, false))->toBe([]);
});

test('a stem from line to line has a head at its end', function (): void {
    $stem = (new DrawnStrip())->head(200, 8)->box(190, Strip::TOP, 3, 66)->strip();
    $bar = (new DrawnStrip())->barLine(190)->strip();
    expect(BarLineFinder::isStem($stem, 190, 193))->toBeTrue()
        ->and(BarLineFinder::isStem($bar, 190, 193))->toBeFalse()
        ->and(BarLineFinder::isStem((new DrawnStrip())->barLine(190, 8)->strip(), 190, 198))->toBeFalse();
});

test('strokes near one another are one sign, with its dots', function (array $dots, bool $before, bool $after): void {
    $drawn = (new DrawnStrip())->barLine(200)->barLine(210, 8);
    foreach ($dots as $x) {
        $drawn->dot($x, 3)->dot($x, 5);
    }
    $strip = $drawn->strip();
    $lines = BarLineFinder::joined(BarLineFinder::strokes($strip, false, false), Blobs::of($strip->bareRows), $strip);
    expect($lines)->toHaveCount(1)
        ->and([$lines[0]->dotsBefore, $lines[0]->dotsAfter])->toBe([$before, $after])
        ->and($lines[0]->thick)->toBeGreaterThan(4);
})->with([
    'the end' => [[], false, false],
    'the end of a repeat' => [[188], true, false],
    'the beginning of one' => [[232], false, true],
    'both' => [[188, 232], true, true],
]);

test('one dot alone is no repeat', function (): void {
    $strip = (new DrawnStrip())->barLine(200)->dot(188, 3)->strip();
    expect(BarLineFinder::joined(BarLineFinder::strokes($strip, false, false), Blobs::of($strip->bareRows), $strip)[0]->dotsBefore)->toBeFalse();
});

/** A staff with a clef of sorts: a treble reaches out of the staff on both sides, a bass does not. */
function opened(Clef $clef): DrawnStrip
{
    $drawn = (new DrawnStrip())->barLine(20);

    return $clef === Clef::Treble ? $drawn->box(34, Strip::TOP - 22, 34, 112) : $drawn->box(34, Strip::TOP - 2, 34, 52)->dot(78, 7)->dot(78, 5);
}

test('the clef is told by what reaches out of the staff', function (Clef $clef): void {
    $strip = opened($clef)->strip();
    expect(OpeningReader::read($strip, Blobs::of($strip->bareRows), true)->clef)->toBe($clef);
})->with(['treble' => [Clef::Treble], 'bass' => [Clef::Bass]]);

test('a key is as many signs as stand on their places, one after another', function (Clef $clef, int $fifths): void {
    $places = $fifths > 0 ? [8, 5, 9, 6, 3, 7, 4] : [4, 7, 3, 6, 2, 5, 1];
    $drawn = opened($clef);
    for ($i = 0; $i < abs($fifths); $i++) {
        $place = $places[$i] - ($clef === Clef::Bass ? 2 : 0);
        $drawn->sign($fifths > 0 ? Shape::Sharp : Shape::Flat, 92 + 22 * $i, Strip::row($place) - ($fifths > 0 ? 0 : 10));
    }
    $strip = $drawn->strip();
    $blobs = Blobs::glued(Blobs::of($strip->bareRows), $strip->line);
    expect(OpeningReader::read($strip, $blobs, true)->fifths)->toBe($fifths);
})->with([
    'C' => [Clef::Treble, 0],
    'G' => [Clef::Treble, 1],
    'D' => [Clef::Treble, 2],
    'A in the bass' => [Clef::Bass, 3],
    'F' => [Clef::Treble, -1],
    'B flat in the bass' => [Clef::Bass, -2],
    'E flat' => [Clef::Treble, -3],
]);

test('where one staff of a line has more signs than the key of the piece, a chord was taken for them', function (int $upper, int $lower, int $piece, array $kept): void {
    $staff = static function (int $flats): Staff {
        $drawn = opened(Clef::Treble);
        foreach (array_slice([4, 7, 3], 0, $flats) as $i => $place) {
            $drawn->sign(Shape::Flat, 92 + 22 * $i, Strip::row($place) - 10);
        }

        return new Staff($drawn->strip(), $drawn->blobs(), OpeningReader::read($drawn->strip(), $drawn->blobs(), false));
    };
    $system = new System([$staff($upper), $staff($lower)]);
    $system->keepTo($piece);
    expect(array_map(static fn (Staff $staff): int => $staff->opening->fifths, $system->staves))->toBe($kept);
})->with([
    'the lower one' => [1, 3, -1, [-1, -1]],
    'the upper one, of a piece without' => [2, 0, 0, [0, 0]],
    'both have them, as where the key changes' => [2, 2, 0, [-2, -2]],
    'one has fewer' => [1, 2, -2, [-1, -2]],
]);

test('an accidental of the first note is none of the key', function (): void {
    // A sharp stands on F first, never on A.
    $strip = opened(Clef::Treble)->sign(Shape::Sharp, 92, Strip::row(3))->strip();
    expect(OpeningReader::read($strip, Blobs::of($strip->bareRows), true)->fifths)->toBe(0);
});

test('a number of the table is itself', function (): void {
    foreach (file(dirname(__DIR__, 2).'/core/Formats/Photo/numbers.txt', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        [$number, $hex] = explode(' ', $line);
        expect(Numbers::nearest(Blob::unpacked($hex)))->toEqual([(int) $number, 0.0]);
    }
});

test('a print of the table is itself, and a blot is nothing of it', function (Shape $shape): void {
    [$width, $height] = DrawnStrip::print($shape);
    $strip = (new DrawnStrip(100, 1))->sign($shape, 30, 30)->strip();
    $blobs = array_values(array_filter(Blobs::of($strip->bareRows), static fn (Blob $blob): bool => $blob->top < 80));
    $whole = array_reduce(array_slice($blobs, 1), static fn (Blob $all, Blob $one): Blob => $all->with($one), $blobs[0]);
    expect(Shapes::nearest($whole)[0])->toBe($shape)->and(Shapes::nearest($whole)[1])->toBeLessThan(0.2);
    $blot = Blobs::made(array_map(static fn (int $row): array => [$row, 10, 10 + $width], range(10, 9 + $height)));
    expect(Shapes::nearest($blot)[1])->toBeGreaterThan(0.2);
})->with(array_combine(array_map(static fn (Shape $shape): string => $shape->name, $all = array_values(array_filter(Shape::cases(), static fn (Shape $shape): bool => ! in_array($shape, [Shape::Text, Shape::SixteenthRest], true)))), array_map(static fn (Shape $shape): array => [$shape], $all)));

test('the parts of a cut sign are one again, those of two signs are not', function (): void {
    [$width, $height] = DrawnStrip::print(Shape::Flat);
    $strip = (new DrawnStrip(120, 1))->sign(Shape::Flat, 30, 30)->strip();
    $blob = Blobs::of(array_slice($strip->bareRows, 0, 80))[0];
    $left = Blobs::made(array_values(array_filter(array_map(static fn (array $run): array => [$run[0], $run[1], min($run[2], $blob->left + 4)], $blob->runs), static fn (array $run): bool => $run[2] > $run[1])));
    $right = Blobs::made(array_values(array_filter(array_map(static fn (array $run): array => [$run[0], max($run[1], $blob->left + 6), $run[2]], $blob->runs), static fn (array $run): bool => $run[2] > $run[1])));
    $far = Blobs::made(array_map(static fn (array $run): array => [$run[0], $run[1] + 40, $run[2] + 40], $right->runs));
    expect(Accidentals::whole([$left, $right], 0, 120))->toHaveCount(1)
        ->and(Accidentals::whole([$left, $far], 0, 120))->toHaveCount(2);
});

test('the place of an accidental is its middle, of a flat its bowl', function (): void {
    $blob = Blobs::made([[Strip::row(4) - 22, 10, 20], [Strip::row(4) + 21, 10, 20]]);
    $flat = Blobs::made([[Strip::row(4) - 30, 10, 20], [Strip::row(4) + 7, 10, 20]]);
    expect(Accidentals::place($blob, Shape::Sharp))->toBe(4)->and(Accidentals::place($flat, Shape::Flat))->toBe(4);
});

test('a line through points is the one they lie on, and none where they do not say', function (): void {
    $fit = new LineFit();
    expect($fit->line())->toBeNull();
    $fit->add(2.0, 7.0);
    $fit->add(2.0, 9.0);
    // One place alone says nothing of a slope.
    expect($fit->line())->toBeNull();
    $fit->add(4.0, 12.0, 2.0);
    [$at, $slope] = $fit->line() ?? [0.0, 0.0];
    expect(round($at, 6))->toBe(4.0)->and(round($slope, 6))->toBe(2.0)->and($fit->count)->toBe(3);
});

test('a line is taken out where it is thin, and stays where a sign is on it', function (): void {
    $strip = (new DrawnStrip())->box(200, Strip::TOP - 8, 10, 30)->strip();
    expect(Strip::ink($strip->bareRows[Strip::TOP], 0, 190))->toBe(0)
        ->and(Strip::ink($strip->bareRows[Strip::TOP], 200, 10))->toBe(10)
        ->and(Strip::ink($strip->rows[Strip::TOP], 0, 400))->toBe(400);
});

test('a strip knows its columns in the picture', function (): void {
    $strip = (new DrawnStrip())->strip();
    expect($strip->columnAt(120.4))->toBe(121)
        ->and($strip->columnAt(-5.0))->toBe(0)
        ->and($strip->columnAt(9_999.0))->toBe(399)
        ->and(Strip::row(0))->toBe(Strip::BOTTOM)
        ->and(Strip::row(8))->toBe(Strip::TOP)
        ->and(Strip::ink("\1\1\1", -5, 6))->toBe(1)
        ->and(Strip::ink("\1\1\1", 2, 9))->toBe(1)
        ->and(Strip::ink("\1\1\1", 7, 2))->toBe(0);
});

test('a stem has its height, and a sign its sense', function (): void {
    expect((new Stem(1.0, 20, 76, 2))->height())->toBe(56)
        ->and(Shape::Sharp->alter())->toBe(1)
        ->and(Shape::Natural->alter())->toBe(0)
        ->and(Shape::QuarterRest->alter())->toBeNull()
        ->and(Shape::Five->finger())->toBe(5)
        ->and(Shape::Text->finger())->toBeNull()
        ->and(Shape::EighthRest->isRest())->toBeTrue()
        ->and(Shape::Three->isRest())->toBeFalse();
});

/** Two heads on a place with a curve of so many rows between them, below or above. */
function curved(int $place, int $depth, int $way, int $other = 0): DrawnStrip
{
    $drawn = (new DrawnStrip())->head(150, $place)->stem(150, $place, $way > 0)->head(230, $place + $other)->stem(230, $place + $other, $way > 0);
    for ($x = 164; $x <= 216; $x++) {
        $bend = 1 - (($x - 190) / 26) ** 2;
        $drawn->box($x, Strip::row($place) + $way * 8 + (int) round($way * $depth * $bend), 1, 3);
    }

    return $drawn;
}

test('a thin curve between two heads on one place is a tie', function (int $place, int $depth, int $way, int $other, bool $tied): void {
    $items = curved($place, $depth, $way, $other)->items();
    expect($items)->toHaveCount(2)->and($items[0]->heads[0]->tied)->toBe($tied)->and($items[1]->heads[0]->tied)->toBeFalse();
})->with([
    'below' => [3, 7, 1, 0, true],
    'above' => [4, 4, -1, 0, true],
    'straight, which is no curve' => [3, 0, 1, 0, false],
    'to another place, which is a slur' => [3, 7, 1, 1, false],
]);

test('signs of a key that touch are told apart where each is expected', function (): void {
    // An F sharp, and a C sharp that begins before it ends.
    $strip = (new DrawnStrip())->sign(Shape::Sharp, 100, Strip::row(8))->sign(Shape::Sharp, 114, Strip::row(5))->strip();
    $blobs = array_values(array_filter(Blobs::of($strip->bareRows), static fn (Blob $blob): bool => $blob->width() > 24));
    expect($blobs)->toHaveCount(1);
    $first = Accidentals::cutOut($blobs[0], 98, Shape::Sharp, 8);
    $second = Accidentals::cutOut($blobs[0], ($first?->right ?? 0) - 2, Shape::Sharp, 5);
    expect($first?->left)->toBeLessThan(104)->and($second)->not->toBeNull()
        ->and(Accidentals::cutOut($blobs[0], 98, Shape::Sharp, 2))->toBeNull();
});

test('dots that run into the thin line beside them still make a repeat', function (array $places, int $flag, bool $dotted): void {
    $drawn = (new DrawnStrip())->box(300, Strip::TOP, 3, 66)->box(308, Strip::TOP, 9, 66);
    foreach ($places as $place) {
        $drawn->box(288, Strip::row($place) - 4, 9, 9)->box(297, Strip::row($place), 3, 2);
    }
    // What hangs down through both spaces is a flag.
    $drawn->box(290, Strip::row(5) - 4, 4, $flag);
    $strip = $drawn->strip();
    expect(BarLineFinder::joined(BarLineFinder::strokes($strip, false, false), Blobs::of($strip->bareRows), $strip)[0]->dotsBefore)->toBe($dotted);
})->with(['dotted' => [[3, 5], 0, true], 'without' => [[], 0, false], 'one dot' => [[3], 0, false], 'a flag' => [[], 24, false]]);

test('whole notes one above the other are one chord without a stem, and so are two side by side a step apart', function (array $heads, array $places): void {
    $drawn = new DrawnStrip();
    foreach ($heads as [$x, $place]) {
        $drawn->whole($x, $place);
    }
    $items = $drawn->items();
    expect($items)->toHaveCount(1)->and($items[0]->base)->toBe(192)
        ->and(array_map(static fn ($head): int => $head->place, $items[0]->heads))->toBe($places);
})->with([
    'thirds' => [[[200, 1], [200, 3], [200, 5]], [1, 3, 5]],
    'a second' => [[[200, 3], [226, 4]], [3, 4]],
]);

test('a head on the other side of its stem is of the chord, a step from its neighbour', function (int $place, bool $up, int $second): void {
    $drawn = (new DrawnStrip())->head(200, $place)->stem(200, $place, $up);
    $drawn->head($up ? 218 : 182, $second);
    $items = $drawn->items();
    $places = [$place, $second];
    sort($places);
    expect($items)->toHaveCount(1)->and(array_map(static fn ($head): int => $head->place, $items[0]->heads))->toBe($places);
})->with(['above, to the right of its stem' => [3, true, 4], 'below, to the left of its stem' => [6, false, 5]]);

test('an accidental beside a stem is no second', function (): void {
    $plain = (new DrawnStrip())->head(200, 5)->stem(200, 5, false)->sign(Shape::Sharp, 170, Strip::row(5))->items();
    expect($plain)->toHaveCount(1)->and($plain[0]->heads)->toHaveCount(1)->and($plain[0]->heads[0]->sign)->toBe(1)->and($plain[0]->heads[0]->doubt)->not->toBe('more');
});

test('a stroke that leans or is torn is one stem, two that stand apart are two', function (int $aside, int $down, int $count): void {
    $strip = (new DrawnStrip())->box(200, 100, 2, 34)->box(200 + $aside, 100 + $down, 2, 34)->strip();
    $stems = Stems::of($strip);
    expect($stems)->toHaveCount($count)
        ->and($count === 1 ? $stems[0]->height() : 34)->toBeGreaterThanOrEqual($count === 1 ? 32 + $down : 34);
})->with([
    'leaning' => [3, 20, 1],
    'torn' => [0, 39, 1],
    'torn too far' => [0, 48, 2],
    'beside one another' => [8, 10, 2],
]);

test('no print of a digit looks more like another digit than like its own', function (): void {
    $prints = array_values(array_filter(array_map(static fn (string $line): array => explode(' ', $line), file(dirname(__DIR__, 2).'/core/Formats/Photo/shapes.txt', FILE_IGNORE_NEW_LINES) ?: []), static fn (array $print): bool => ctype_digit($print[0])));
    $mistaken = [];
    foreach ($prints as $i => [$name, , , $hex]) {
        $least = [];
        foreach ($prints as $k => [$other, , , $picture]) {
            if ($i !== $k) {
                $least[$other] = min($least[$other] ?? PHP_INT_MAX, substr_count(Blob::unpacked($hex) ^ Blob::unpacked($picture), "\1"));
            }
        }
        $own = $least[$name] ?? PHP_INT_MAX;
        if (min($least) < $own - 5) {
            $mistaken[] = "{$name} of line {$i}";
        }
    }
    expect($prints)->toHaveCount(156)->and($mistaken)->toBe([]);
});

test('a sign of a key that is torn is put together where it is expected, and the next ones are read after it', function (bool $whole, int $fifths): void {
    $blobs = (new DrawnStrip())->sign(Shape::Sharp, 100, Strip::row(8))->sign(Shape::Sharp, 118, Strip::row(5))->sign(Shape::Sharp, 136, Strip::row(9))->blobs();
    $parts = [];
    foreach ($blobs as $blob) {
        $isSecond = $blob->left > 110 && $blob->left < 130 && $blob->width() < 40;
        $middle = intdiv($blob->top + $blob->bottom, 2);
        array_push($parts, ...($isSecond ? array_filter([$blob->within(0, 400, $blob->top, $middle), $whole ? $blob->within(0, 400, $middle, $blob->bottom) : null]) : [$blob]));
    }
    expect(OpeningReader::key($parts, 92, Clef::Treble, 7)[0])->toBe($fifths);
})->with([[true, 3], [false, 1]]);

test('the other hollow heads of a chord are seen by their rings', function (DrawnStrip $drawn, array $places): void {
    $items = $drawn->items();
    expect($items)->toHaveCount(1)->and($items[0]->base)->toBe(96)
        ->and(array_map(static fn (Head $head): int => $head->place, $items[0]->heads))->toBe($places);
})->with([
    'a third' => [fn (): DrawnStrip => (new DrawnStrip())->head(200, 2, true)->head(200, 4, true)->stem(200, 2, true, 5), [2, 4]],
    'a chord of three' => [fn (): DrawnStrip => (new DrawnStrip())->head(200, 1, true)->head(200, 3, true)->head(200, 5, true)->stem(200, 1, true, 6), [1, 3, 5]],
    'a second at the right of its stem' => [fn (): DrawnStrip => (new DrawnStrip())->head(200, 3, true)->head(218, 4, true)->stem(200, 3, true, 4), [3, 4]],
]);

test('a hollow head that was taken to be a step away stands where its ring is, and half a ring is none', function (): void {
    $strip = (new DrawnStrip())->head(200, 5, true)->stem(200, 5, true)->box(300, Strip::row(5) - 8, 3, 60)->strip();
    $told = static fn (float $x, int $place): array => array_map(static fn (Head $head): int => $head->place, Rings::placed($strip, [new Head($x, $place, true, 21.0, 0.95)]));
    expect($told(200, 5))->toBe([5])->and($told(200, 4))->toBe([5])->and($told(200, 6))->toBe([5])->and($told(291, 5))->toBe([]);
    $twice = Rings::placed($strip, [new Head(200, 5, true, 21.0, 0.95), new Head(201, 6, true, 21.0, 0.95)]);
    expect($twice)->toHaveCount(1);
});

test('what is in doubt between two places is so no more where one ring is clearer', function (): void {
    $strip = (new DrawnStrip())->head(200, 5, true)->stem(200, 5, true)->strip();
    $head = new Head(200, 5, true, 21.0, 0.95);
    $head->doubt = 'place';
    expect(Rings::placed($strip, [$head])[0]->doubt)->toBeNull();
});

test('a number that touches the end of a stem is no flag', function (): void {
    $alone = static fn (DrawnStrip $drawn): ?int => $drawn->items()[0]->flag;
    $plain = $alone((new DrawnStrip())->head(200, 3)->stem(200, 3, true));
    $number = $alone((new DrawnStrip())->head(200, 3)->stem(200, 3, true)->box(213, Strip::row(3) - 56, 5, 14));
    $flag = $alone((new DrawnStrip())->head(200, 3)->stem(200, 3, true)->box(214, Strip::row(3) - 54, 3, 34));
    expect($plain)->toBe(0)->and($number)->toBeGreaterThan(8)->toBeLessThan(18)->and($flag)->toBeGreaterThanOrEqual(24);
    // Beneath one beam there is none to look for.
    $beamed = (new DrawnStrip())->head(100, 3)->stem(100, 3, true)->head(150, 3)->stem(150, 3, true)->beam(100, 150, 3, true)->items();
    expect($beamed[0]->flag)->toBeNull()->and($beamed[1]->flag)->toBeNull();
});

test('a stroke right before a note that is of nothing is a sign in doubt, one that was read is not', function (): void {
    $doubt = static fn (DrawnStrip $drawn): ?string => $drawn->items()[0]->heads[0]->doubt;
    $note = static fn (): DrawnStrip => (new DrawnStrip())->head(200, 5)->stem(200, 5, false);
    expect($doubt($note()))->toBeNull()
        ->and($doubt($note()->box(180, Strip::row(5) - 20, 2, 40)))->toBe('sign')
        ->and($doubt($note()->box(180, Strip::row(5) - 50, 2, 40)))->toBeNull()
        ->and($doubt($note()->sign(Shape::Sharp, 170, Strip::row(5))))->toBeNull();
});

test('the point over an i makes no chord longer, two dots below it do', function (int $dots, int $expected): void {
    $drawn = (new DrawnStrip())->head(200, 0)->head(200, 2)->stem(200, 0, true, 5)->dot(222, -1);
    for ($i = 1; $i < $dots; $i++) {
        $drawn->dot(222, 1);
    }
    expect($drawn->items()[0]->dots)->toBe($expected);
})->with(['one below' => [1, 0], 'one below and one between' => [2, 1]]);

/** @return list<string> */
function marks_read(DrawnStrip $drawn): array
{
    return array_map(static fn (Mark $mark): string => $mark->value, $drawn->items()[0]->marks);
}

/** A note in the third space, its stem up, and something else. */
function third_space(): DrawnStrip
{
    return (new DrawnStrip())->head(200, 5)->stem(200, 5, true);
}

/** Two strokes that meet at the right, or at the left. */
function wedge(DrawnStrip $drawn, int $x, int $y, bool $opensLeft): DrawnStrip
{
    for ($i = 0; $i <= 20; $i++) {
        $away = (int) round(($opensLeft ? 20 - $i : $i) * 0.25);
        $drawn->box($x - 10 + $i, $y - $away, 1, 2)->box($x - 10 + $i, $y + $away, 1, 2);
    }

    return $drawn;
}

test('a dot at the head is staccato, one beside it, on a line, far away or over a letter is not', function (DrawnStrip $drawn, array $marks): void {
    expect(marks_read($drawn))->toBe($marks);
})->with([
    'in the space below' => [fn (): DrawnStrip => third_space()->dot(200, 3), ['staccato']],
    'below the staff' => [fn (): DrawnStrip => (new DrawnStrip())->head(200, 1)->stem(200, 1, true)->dot(200, -2), ['staccato']],
    'beside it' => [fn (): DrawnStrip => third_space()->dot(222, 5), []],
    'on a line' => [fn (): DrawnStrip => third_space()->dot(200, 2), []],
    'far below' => [fn (): DrawnStrip => (new DrawnStrip())->head(200, 1)->stem(200, 1, true)->dot(200, -6), []],
    'the point of an i' => [fn (): DrawnStrip => (new DrawnStrip())->head(200, 1)->stem(200, 1, true)->dot(200, -3)->box(198, Strip::row(-3) + 7, 5, 16), []],
]);

test('two strokes that meet at the right are an accent, at the left they are none', function (): void {
    $below = static fn (bool $opensLeft): array => marks_read(wedge((new DrawnStrip())->head(200, 1)->stem(200, 1, true), 200, Strip::row(-2), $opensLeft));
    expect($below(true))->toBe(['accent'])->and($below(false))->toBe([]);
});

test('a stroke as wide as a head is tenuto', function (array $strokes, array $marks): void {
    $drawn = (new DrawnStrip())->head(200, 1)->stem(200, 1, true);
    foreach ($strokes as [$x, $y, $width, $height]) {
        $drawn->box($x, $y, $width, $height);
    }
    expect(marks_read($drawn))->toBe($marks);
})->with([
    'below it' => [[[192, Strip::row(-2) + 4, 18, 3]], ['tenuto']],
    'as narrow as one may be' => [[[194, Strip::row(-2) + 4, 13, 3]], ['tenuto']],
    'narrower' => [[[194, Strip::row(-2) + 4, 12, 3]], []],
    'wider than a head' => [[[187, Strip::row(-2) + 4, 27, 3]], []],
    'as thick as a rest' => [[[192, Strip::row(-2) + 4, 18, 7]], []],
    'beside its note' => [[[216, Strip::row(-2) + 4, 18, 3]], []],
    'one of two, as an equals sign has' => [[[192, Strip::row(-2) + 2, 18, 3], [192, Strip::row(-2) + 9, 18, 3]], []],
]);

test('a bow with a dot in it is a fermata, and its dot is nothing else', function (bool $dotted): void {
    $drawn = third_space();
    for ($i = -15; $i <= 15; $i++) {
        $drawn->box(210 + $i, 48 - (int) round(13 * sqrt(1 - ($i / 15.5) ** 2)), 1, 4);
    }
    if ($dotted) {
        $drawn->box(207, 43, 6, 6);
    }
    expect(marks_read($drawn))->toBe($dotted ? ['fermata'] : []);
})->with(['with it' => [true], 'without' => [false]]);

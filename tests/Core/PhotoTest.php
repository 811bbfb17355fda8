<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\BadPhoto;
use Nasturtium\Core\Formats\Photo\Blob;
use Nasturtium\Core\Formats\Photo\Blobs;
use Nasturtium\Core\Formats\Photo\Decoder;
use Nasturtium\Core\Formats\Photo\Head;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\Orientation;
use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\Rhythm;
use Nasturtium\Core\Formats\Photo\StaffFinder;
use Nasturtium\Core\Formats\Photo\Stem;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Refusal;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * A page from a photo: what is computed from what was seen. Whole pages are read in tests/Outside.
 */

/** Signs of a bar from letters as the shorthand's, a dot behind: `q`, `h.`, `v` with a beam, `rq` for a rest, `rw` for a bar of rest. */
function seen(string $signs): array
{
    $items = [];
    foreach (explode(' ', $signs) as $x => $sign) {
        $rest = $sign[0] === 'r';
        $sign = ltrim($sign, 'r');
        $beams = ['v' => 1, 'x' => 2][$sign[0]] ?? 0;
        $base = ['w' => 192, 'h' => 96, 'q' => 48, 'v' => 24, 'x' => 12][$sign[0]];
        $heads = $rest ? [] : [new Head(30.0 * $x, 4, in_array($sign[0], ['w', 'h'], true), 18.0, 0.95)];
        $stem = $rest || $sign[0] === 'w' ? null : new Stem(30.0 * $x + 9, 60, 120, 2);
        $items[] = new Item(30.0 * $x, 30.0 * $x, $heads, $base, substr_count($sign, '.'), $beams, $rest && $sign === 'w', 0.95, $stem);
    }

    return $items;
}

/** @return list<int> the lengths in ticks */
function lengths(array $items): array
{
    return array_map(static fn (Item $item): int => $item->ticks(), $items);
}

/** A picture with staves: the rows of their top lines, the distance of lines, and how far they fall to the right. */
function staves_drawn(array $tops, int $space, float $fall = 0.0, int $width = 900): string
{
    $image = imagecreatetruecolor($width, max([...$tops, 0]) + 8 * $space + 200);
    imagefill($image, 0, 0, 0xFAF6EA);
    foreach ($tops as $top) {
        for ($line = 0; $line < 5; $line++) {
            $y = $top + $line * $space;
            imagefilledpolygon($image, [60, $y, $width - 60, (int) ($y + $fall), $width - 60, (int) ($y + $fall) + 1, 60, $y + 1], 0x202020);
        }
    }
    ob_start();
    imagepng($image);

    return (string) ob_get_clean();
}

test('a bar that comes to its length stays as it was read', function (string $signs, array $ticks): void {
    [$items, $asRead] = Rhythm::settle(seen($signs), 192);
    expect($asRead)->toBeTrue()->and(lengths($items))->toBe($ticks);
})->with([
    'four quarters' => ['q q q q', [48, 48, 48, 48]],
    'a dotted half and a quarter' => ['h. q', [144, 48]],
    'dotted rhythm under a beam' => ['v. x q h', [36, 12, 48, 96]],
    'a rest in it' => ['h rq q', [96, 48, 48]],
    'a whole rest' => ['rw', [192]],
]);

test('a whole rest is as long as its bar', function (): void {
    [$items, $asRead] = Rhythm::settle(seen('rw'), 144);
    expect($asRead)->toBeTrue()->and(lengths($items))->toBe([144]);
});

test('one that does not is mended by the least doubtful change, and is in doubt unless that is clear', function (string $signs, int $length, array $ticks, bool $isSure): void {
    [$items, $sure] = Rhythm::settle(seen($signs), $length);
    expect(lengths($items))->toBe($ticks)->and($sure)->toBe($isSure);
})->with([
    'a dot that was dust' => ['h. h', 192, [96, 96], false],
    'a dot that was not seen' => ['h q', 192, [144, 48], false],
    'a beam that was not seen' => ['v q h', 144, [24, 24, 96], true],
    'a beam too few' => ['v. v h', 144, [36, 12, 96], false],
    'nothing helps: it is left as it is' => ['q', 192, [48], false],
]);

test('what the other hand plays at the same place says which change it is', function (): void {
    // Too long by an eighth: either of the quarters may have a beam that was not seen.
    foreach (['q v v h' => [48, 24, 24, 96], 'v v q h' => [24, 24, 48, 96]] as $other => $ticks) {
        $beside = seen($other);
        Rhythm::settle($beside, 192);
        expect(lengths(Rhythm::settle(seen('q v q h'), 192, $beside)[0]))->toBe($ticks);
    }
});

test('of two notes the one whose stem ends in a number had no beam, and the one that has a flag has one', function (string $signs, int $flagged, int $rows, array $ticks): void {
    $items = seen($signs);
    $items[$flagged]->flag = $rows;
    [$settled, $sure] = Rhythm::settle($items, array_sum($ticks));
    expect(lengths($settled))->toBe($ticks)->and($sure)->toBeTrue();
})->with([
    'the second eighth is a quarter' => ['v v q q', 1, 17, [24, 48, 48, 48]],
    'the first one is' => ['v v q q', 0, 9, [48, 24, 48, 48]],
    'the second quarter is an eighth' => ['q q q v q', 1, 24, [48, 24, 48, 24, 48]],
]);

test('a number of rows between a number and a flag says nothing', function (): void {
    $items = seen('v v q q');
    $items[1]->flag = 18;
    expect(Rhythm::settle($items, 168)[1])->toBeFalse();
});

test('a hole that was taken for a note goes where the bar is right without it', function (): void {
    [$settled, $sure] = Rhythm::settle(seen('w q q h'), 192);
    expect(lengths($settled))->toBe([48, 48, 96])->and($sure)->toBeTrue();
});

/** A line across a picture, two pixels thick. */
function ruled(GdImage $image, int $from, int $to, int $y, int $colour = 0x202020): void
{
    imagefilledrectangle($image, $from, $y, $to, $y + 1, $colour);
}

/** @return int how many staves are found in it */
function staves_in(GdImage $image): int
{
    ob_start();
    imagepng($image);

    return count(StaffFinder::find(Decoder::picture(Decoder::opened((string) ob_get_clean()), 0)));
}

test('five lines between two staves are no staff where they begin and end inside them, as slurs and hairpins do', function (int $from, int $to, int $found): void {
    $image = imagecreatetruecolor(800, 560);
    assert($image !== false);
    imagefill($image, 0, 0, 0xFFFFFF);
    for ($line = 0; $line < 5; $line++) {
        ruled($image, 64, 672, 100 + 16 * $line);
        ruled($image, 64, 672, 340 + 16 * $line);
        ruled($image, $from, $to, 220 + 16 * $line);
    }
    expect(staves_in($image))->toBe($found);
})->with(['inside' => [160, 576, 2], 'it begins as they do' => [64, 576, 3], 'it ends as they do' => [160, 672, 3]]);

test('a staff is not followed to a mirage a line below it, however clear that is', function (): void {
    $image = imagecreatetruecolor(1400, 400);
    assert($image !== false);
    imagefill($image, 0, 0, 0xFFFFFF);
    $row = static fn (int $x): int => 100 + intdiv($x, 26);
    for ($x = 64; $x < 1300; $x++) {
        $isMirage = $x >= 576 && $x < 672;
        for ($line = $isMirage ? 1 : 0; $line < ($isMirage ? 6 : 5) && ($x < 672 || $x >= 864); $line++) {
            imagefilledrectangle($image, $x, $row($x) + 16 * $line, $x, $row($x) + 16 * $line + ($isMirage ? 2 : 1), $x >= 640 && $isMirage ? 0 : 0x404040);
        }
    }
    ob_start();
    imagepng($image);
    $picture = Decoder::picture(Decoder::opened((string) ob_get_clean()), 0);
    $paths = StaffFinder::find($picture);
    expect($paths)->toHaveCount(1);
    foreach ([200, 500, 624, 760, 900, 1200] as $x) {
        expect(abs($paths[0]->middleAt($x * $picture->scale) / $picture->scale - $row($x) - 32))->toBeLessThan(4.0);
    }
});

test('a staff that a few bands show is one where another stands a hand away, as long as it', function (int $apart, int $seen, int $found): void {
    $image = imagecreatetruecolor(800, 560);
    assert($image !== false);
    imagefill($image, 0, 0, 0xFFFFFF);
    for ($line = 0; $line < 5; $line++) {
        ruled($image, 64, 672, 100 + 16 * $line);
        imagefilledrectangle($image, 64, 100 + $apart + 16 * $line, 672, 100 + $apart + 16 * $line, 0xF4F4F4);
        for ($band = 0; $band < $seen; $band++) {
            ruled($image, 64 + 128 * $band, 64 + 128 * $band + 31, 100 + $apart + 16 * $line, 0x909090);
        }
    }
    expect(staves_in($image))->toBe($found);
})->with([
    'a hand away' => [144, 4, 2],
    'seen too seldom' => [144, 3, 1],
    'too far away' => [280, 4, 1],
]);

test('onsets follow one another', function (): void {
    [$items] = Rhythm::settle(seen('v v q h'), 192);
    expect(array_map(static fn (Item $item): int => $item->onset, $items))->toBe([0, 24, 48, 96]);
});

test('three under a beam with a 3 are a triplet where the bar has just that much too much', function (bool $three, bool $beamed, array $ticks): void {
    $items = seen('v v v q h');
    $items[0]->beamedOn = $items[1]->beamedOn = $beamed;
    $items[1]->hasThree = $three;
    [$settled] = Rhythm::settle($items, 192);
    expect(lengths($settled))->toBe($ticks);
})->with([
    'with its number' => [true, true, [16, 16, 16, 48, 96]],
    'without' => [false, true, [24, 24, 24, 24, 96]],
    'not under one beam' => [true, false, [24, 24, 24, 24, 96]],
]);

test('an accidental holds to the bar line on its own place, else the key says', function (): void {
    $items = seen('q q q q');
    $places = [4, 4, 11, 0];
    foreach ($items as $i => $item) {
        $items[$i] = new Item($item->x, $item->pageX, [new Head($item->x, $places[$i], false, 18.0, 0.95)], 48, 0, 0);
    }
    [$first] = $items[0]->heads;
    $first->sign = 0;
    $read = new ReadPhoto([Clef::Treble], -2, new Meter(4, 4), []);
    $names = array_map(static fn (array $chord): string => $chord[0]->name(), $read->pitches(new ReadBar([array_map(ReadSign::of(...), $items)], false, false, []), 0));
    // B natural, still natural, B flat an octave up by the key, and E flat.
    expect($names)->toBe(['B4', 'B4', 'Bb5', 'Eb4'])
        ->and((new ReadPhoto([Clef::Bass], 1, new Meter(4, 4), []))->pitches(new ReadBar([[ReadSign::of($items[3])]], false, false, []), 0)[0][0]->name())->toBe('G2')
        // A line may have a clef and a key of its own: the bottom line is E natural there.
        ->and($read->pitches(new ReadBar([[ReadSign::of($items[3])]], false, false, [], clefs: [Clef::Bass], fifths: 0), 0)[0][0]->name())->toBe('G2')
        ->and($read->pitches(new ReadBar([[ReadSign::of($items[3])]], false, false, [], fifths: 0), 0)[0][0]->name())->toBe('E4');
});

test('what was read is a document, and a piece as if typed', function (): void {
    [$right] = Rhythm::settle(seen('q q h'), 192);
    [$left] = Rhythm::settle(seen('rw'), 192);
    [$head] = $right[0]->heads;
    $head->finger = 3;
    $read = new ReadPhoto([Clef::Treble, Clef::Bass], 0, new Meter(4, 4), [new ReadBar([array_map(ReadSign::of(...), $right), array_map(ReadSign::of(...), $left)], false, true, [[2, 'sum']])]);
    $document = PhotoDocument::of(new ReadPage([$read]));
    expect($document['clefs'])->toBe(['G', 'F'])
        ->and($document['repeats'])->toBe([[1, 'end']])
        ->and($document['notes'][0])->toBe(['staff' => 1, 'bar' => 1, 'onset' => 0, 'dur' => 1, 'midi' => 71, 'finger' => 3])
        ->and($document['rests'])->toBe([['staff' => 2, 'bar' => 1, 'onset' => 0, 'dur' => 4]])
        ->and($document['doubts'])->toBe([['bar' => 1, 'staff' => 2, 'why' => 'sum']]);
    $piece = PhotoPiece::of($read);
    expect($piece->measures)->toHaveCount(1)->and($piece->measures[0]->repeatEnd)->toBeTrue();
});

test('staves are found from the top, straight or aslant', function (float $fall): void {
    $picture = Decoder::picture(Decoder::opened(staves_drawn([100, 260], 14, $fall)));
    $paths = StaffFinder::find($picture);
    expect($paths)->toHaveCount(2);
    foreach ($paths as $i => $path) {
        $x = 450 * $picture->scale;
        expect(abs($path->middleAt($x) / $picture->scale - ([100, 260][$i] + 28 + $fall * 0.5)))->toBeLessThan(1.5)
            ->and(abs($path->spaceAt($x) - Decoder::SPACE))->toBeLessThan(0.6);
    }
})->with(['straight' => [0.0], 'falling by three degrees' => [40.0], 'rising' => [-25.0]]);

test('a staff goes on where its lines are faint, and ends where they do', function (int $until): void {
    $image = imagecreatefromstring(staves_drawn([100, 260], 16));
    assert($image !== false);
    foreach ([100, 260] as $top) {
        for ($line = 0; $line < 5; $line++) {
            $y = $top + $line * 16;
            imagefilledrectangle($image, 560, $y - 1, 840, $y + 2, 0xFAF6EA);
            imagefilledrectangle($image, 560, $y, $until, $y, 0xE2DED4);
        }
    }
    ob_start();
    imagepng($image);
    $picture = Decoder::picture(Decoder::opened((string) ob_get_clean()));
    foreach (StaffFinder::find($picture) as $path) {
        expect(abs($path->to() / $picture->scale - $until))->toBeLessThan(40);
    }
})->with(['as far as the others' => [840], 'half as far' => [700]]);

test('what cannot be read says why, and what to do', function (string $bytes, string $said): void {
    expect(static fn () => (new PhotoReader())->read($bytes))->toThrow(BadPhoto::class, $said);
})->with([
    'no picture' => ['no picture', 'no picture that can be opened'],
    'half a picture' => [substr(staves_drawn([100], 14), 0, 40), 'no picture that can be opened'],
    // Dimensions are asked before anything is unpacked.
    'a picture that would fill the memory' => [substr_replace(staves_drawn([100], 14), pack('NN', 30_000, 30_000), 16, 8), '30000 by 30000'],
    'no staves' => [staves_drawn([], 14), 'No staves'],
]);

test('a camera says how it was held', function (int $value, int $degrees): void {
    $tags = "II*\0".pack('V', 8).pack('v', 1).pack('vvVvv', 0x0112, 3, 1, $value, 0);
    expect(Orientation::degrees("\xFF\xD8\xFF\xE1\0\x20Exif\0\0{$tags}"))->toBe($degrees);
})->with([[1, 0], [3, 180], [6, 90], [8, 270], [9, 0]]);

test('a file that says nothing of it, or breaks off, is upright', function (string $bytes): void {
    expect(Orientation::degrees($bytes))->toBe(0);
})->with([
    'nothing' => ["\xFF\xD8\xFF\xE0"],
    'broken off' => ["\xFF\xD8\xFF\xE1\0\x20Exif\0\0II*\0"],
    'no picture' => ['no picture'],
]);

test('ink that hangs together is one, and a cut along a line is glued', function (): void {
    $rows = array_fill(0, Strip::HEIGHT, str_repeat("\0", 40));
    foreach ([...range(86, 94), ...range(99, 107)] as $row) {
        $rows[$row] = substr_replace($rows[$row], str_repeat("\1", 6), 10, 6);
    }
    $blobs = Blobs::of($rows);
    expect($blobs)->toHaveCount(2)
        ->and(Blobs::glued($blobs, 2))->toHaveCount(1)
        // The same gap between two lines is none of a line.
        ->and(Blobs::glued(array_map(static fn (Blob $blob): Blob => Blobs::made(array_map(static fn (array $run): array => [$run[0] + 8, $run[1], $run[2]], $blob->runs)), $blobs), 2))->toHaveCount(2);
});

/** A picture of scribbles over two staves: blobs or strokes by chance. */
function scribbled(int $seed, bool $strokes): string
{
    $chance = new Randomizer(new Mt19937($seed));
    $image = imagecreatefromstring(staves_drawn([60, 200], 14));
    for ($i = 0; $i < 150; $i++) {
        [$x, $y] = [$chance->getInt(0, 900), $chance->getInt(0, 400)];
        if ($strokes) {
            imagesetthickness($image, $chance->getInt(1, 4));
            imageline($image, $x, $y, $chance->getInt(0, 900), $chance->getInt(0, 400), 0);
        } else {
            imagefilledellipse($image, $x, $y, $chance->getInt(2, 30), $chance->getInt(2, 30), 0);
        }
    }
    ob_start();
    imagepng($image);

    return (string) ob_get_clean();
}

test('whatever is on a picture, it is read or refused in words', function (string $bytes): void {
    try {
        $page = (new PhotoReader())->read($bytes)->page;
        PhotoDocument::of($page);
        expect(PhotoPiece::of($page->pieces[0])->measures)->not->toBe([]);
    } catch (Refusal $reason) {
        expect($reason->getMessage())->not->toBe('');
    }
})->with([
    'a staff alone' => [staves_drawn([100], 14)],
    'a staff at the edge' => [staves_drawn([2], 14)],
    'stripes from top to bottom' => [staves_drawn(range(0, 700, 70), 14)],
    'blots' => [scribbled(3, false)],
    'strokes' => [scribbled(5, true)],
]);

<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\BadPhoto;
use Nasturtium\Core\Formats\Photo\Decoder;
use Nasturtium\Core\Formats\Photo\Opening;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\PhotoReader;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\Shape;
use Nasturtium\Core\Formats\Photo\Staff;
use Nasturtium\Core\Formats\Photo\StaffFinder;
use Nasturtium\Core\Formats\Photo\StaffPath;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Photo\StripCutter;
use Nasturtium\Core\Formats\Photo\System;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Measure;
use Tests\Photo\DrawnPage;
use Tests\Photo\DrawnStrip;

/*
 * Whole pages of drawn staves: lines that belong together, bars, time, repeats, and what is told of them.
 */

/**
 * A staff of 700 pixels with its clef and bar lines every 150 from 250 on.
 *
 * @param list<list<array{string, int}>> $bars  what stands in each: `q` or `h` or `w` and a place, `r` for a bar of rest
 */
function staff_of(Clef $clef, array $bars, ?callable $more = null): DrawnStrip
{
    $drawn = (new DrawnStrip(700))->barLine(0);
    $clef === Clef::Treble ? $drawn->box(16, Strip::TOP - 22, 34, 112) : $drawn->box(16, Strip::TOP - 2, 34, 52)->dot(60, 7)->dot(60, 5);
    foreach ($bars as $n => $signs) {
        $from = 104 + 148 * $n;
        foreach ($signs as $i => [$what, $place]) {
            $x = $from + 20 + 34 * $i;
            match ($what) {
                'q' => $drawn->head($x, $place)->stem($x, $place, $place < 4),
                'h' => $drawn->head($x, $place, true)->stem($x, $place, $place < 4),
                'w' => $drawn->whole($x, $place),
                default => $drawn->box($x, Strip::TOP + 17, 20, 8),
            };
        }
        $drawn->barLine($from + 144);
    }
    if ($more !== null) {
        $more($drawn);
    }

    return $drawn;
}

/** @return list<array{string, int}> so many quarters on places from there up */
function quarters(int $count, int $from = 0): array
{
    return array_map(static fn (int $place): array => ['q', $place], range($from, $from + $count - 1));
}

const REST = [['r', 0]];

/** @return array<string, mixed> */
function page_read(string $bytes): array
{
    return PhotoDocument::of((new PhotoReader())->read($bytes)->page);
}

/** Two lines of a grand staff in 3/4, four bars each. */
function grand_page(): DrawnPage
{
    $upper = static fn (): DrawnStrip => staff_of(Clef::Treble, [quarters(3), quarters(3, 2), quarters(3, 4), quarters(3, 1)]);
    $lower = static fn (): DrawnStrip => staff_of(Clef::Bass, [REST, quarters(3, 1), REST, quarters(3, 5)]);

    return new DrawnPage([[$upper(), $lower()], [$upper(), $lower()]]);
}

test('two staves that a line joins are a grand staff, line by line', function (): void {
    $read = page_read(grand_page()->png());
    expect($read['clefs'])->toBe(['G', 'F'])
        ->and($read['bars'])->toBe(8)
        ->and($read['time'])->toBe([3, 4])
        ->and($read['notes'])->toHaveCount(2 * (12 + 6))
        ->and($read['rests'])->toHaveCount(4)
        ->and($read['doubts'])->toBe([])
        // E4, F4, G4, the thumb's way up.
        ->and(array_column(array_slice($read['notes'], 0, 3), 'midi'))->toBe([64, 65, 67]);
});

test('what looks like a short staff between the two of a grand staff is none', function (int $width, array $staves): void {
    $staff = static fn (int $width, bool $joined): Staff => new Staff((new DrawnStrip($width))->box(20, Strip::TOP, 3, $joined ? Strip::HEIGHT - Strip::TOP : 66)->strip(), [], new Opening(Clef::Treble, 0, null, 40));
    $systems = System::of([$staff(700, true), $staff($width, false), $staff(700, false)]);
    expect(array_map(static fn (System $system): array => array_map(static fn (Staff $one): int => $one->strip->width(), $system->staves), $systems))->toBe($staves);
})->with([[340, [[700, 700]]], [360, [[700, 360], [700]]]]);

test('a page on its side or on its head is set upright', function (int $turns): void {
    expect(page_read(grand_page()->png($turns)))->toBe(page_read(grand_page()->png()));
})->with(['by a quarter' => [1], 'on its head' => [2], 'by three quarters' => [3]]);

test('it is read as large as a camera makes it, and refused where it is too small', function (): void {
    $read = static fn (float $scale): array => page_read(grand_page()->png(0, $scale));
    expect($read(2.0)['notes'])->toHaveCount(36)
        ->and($read(1.3)['notes'])->toHaveCount(36)
        ->and(static fn () => $read(0.45))->toThrow(BadPhoto::class, 'too small');
});

test('staves that nothing joins are lines of one staff', function (): void {
    $staff = static fn (): DrawnStrip => staff_of(Clef::Treble, [quarters(3), quarters(3, 2), quarters(3), quarters(3)]);
    $read = page_read((new DrawnPage([[$staff()], [$staff()]]))->png());
    expect($read['clefs'])->toBe(['G'])->and($read['bars'])->toBe(8)->and($read['notes'])->toHaveCount(24);
});

test('both hands in one clef are read in it', function (): void {
    $staff = static fn (): DrawnStrip => staff_of(Clef::Treble, [quarters(3), quarters(3, 2), quarters(3), quarters(3)]);
    expect(page_read((new DrawnPage([[$staff(), $staff()]]))->png())['clefs'])->toBe(['G', 'G']);
});

test('a stem in one hand where the other has its bar line is none', function (): void {
    // A note on the bottom line whose stem goes from line to line, in the middle of a bar.
    $upper = staff_of(Clef::Treble, [quarters(3), quarters(3), quarters(3), quarters(3)], static fn (DrawnStrip $drawn) => null);
    $lower = staff_of(Clef::Bass, [[['h', 8], ['q', 5]], REST, REST, REST]);
    expect(page_read((new DrawnPage([[$upper, $lower]]))->png())['bars'])->toBe(4);
});

test('a line may have another clef and another key than the one before it', function (array $lower, int $flats, array $clefs, array $fifths, string $typed): void {
    $bars = [quarters(3), quarters(3), quarters(3), quarters(3)];
    $flat = static fn (int $place): Closure => static function (DrawnStrip $drawn) use ($place): void {
        $drawn->sign(Shape::Flat, 70, Strip::row($place) - 10);
    };
    $pair = static fn (Clef $clef, bool $hasFlats): array => [
        staff_of(Clef::Treble, $bars, $hasFlats ? $flat(4) : null),
        staff_of($clef, $bars, $hasFlats ? $flat($clef === Clef::Bass ? 2 : 4) : null),
    ];
    $read = (new PhotoReader())->read((new DrawnPage([$pair($lower[0], false), $pair($lower[1], $flats === 2)]))->png())->page;
    $document = PhotoDocument::of($read);
    $lowest = array_map(static fn (int $bar): int => min(array_column(array_filter($document['notes'], static fn (array $note): bool => $note['bar'] === $bar && $note['staff'] === 2), 'midi')), [4, 5]);
    expect([$document['clefs'], $document['key']])->toBe([['G', $lower[0]->sign()], 0])
        ->and($lowest)->toBe($clefs)
        ->and(array_map(static fn (ReadBar $bar): ?int => $bar->fifths, array_slice($read->pieces[0]->bars, 3, 2)))->toBe($fifths)
        ->and(PageCodec::read(PageCodec::written($read)))->toEqual($read)
        ->and(ShorthandWriter::write(PhotoPiece::of($read->pieces[0]))->text)->toContain($typed);
})->with([
    // The bottom line is G2 in the bass, E4 in the treble.
    'the left hand goes up' => [[Clef::Bass, Clef::Treble], 0, [43, 64], [null, null], '[treble]'],
    'and comes down' => [[Clef::Treble, Clef::Bass], 0, [64, 43], [null, null], '[bass]'],
    'the key changes' => [[Clef::Bass, Clef::Bass], 2, [43, 43], [null, -1], '[key F]'],
    'nothing does' => [[Clef::Bass, Clef::Bass], 0, [43, 43], [null, null], 'time: 3/4'],
]);

test('the clef that warns of the next line is no note', function (Clef $next, int $x, int $notes): void {
    $bars = [quarters(3), quarters(3), quarters(3), quarters(3)];
    // As it is read: something with a head and a stem right before the bar line at 692.
    $lower = staff_of(Clef::Bass, $bars, static fn (DrawnStrip $drawn) => $drawn->head($x, 4)->stem($x, 4, true));
    $page = new DrawnPage([[staff_of(Clef::Treble, $bars), $lower], [staff_of(Clef::Treble, $bars), staff_of($next, $bars)]]);
    $read = page_read($page->png());
    expect(array_filter($read['notes'], static fn (array $note): bool => $note['bar'] === 4 && $note['staff'] === 2))->toHaveCount($notes);
})->with([
    'another clef follows' => [Clef::Treble, 668, 3],
    'the same clef follows: it is a note' => [Clef::Bass, 668, 4],
]);

test('brackets above a line are its first and its second ending', function (array $brackets, bool $repeats, array $endings): void {
    $staff = static fn (array $brackets): DrawnStrip => staff_of(Clef::Treble, [quarters(3), quarters(3, 2), quarters(3), quarters(3)], static function (DrawnStrip $drawn) use ($brackets, $repeats): void {
        foreach ($brackets as [$from, $to, $hook]) {
            $drawn->box($from, Strip::TOP - 40, $to - $from, 2)->box($from, Strip::TOP - 40, 2, $hook);
        }
        $repeats && $drawn->dot(534, 3)->dot(534, 5);
    });
    $read = (new PhotoReader())->read((new DrawnPage([[$staff($brackets[0])], [$staff($brackets[1])]]))->png())->page;
    expect(array_map(static fn (ReadBar $bar): int => $bar->ending, $read->pieces[0]->bars))->toBe($endings)
        ->and(array_map(static fn (Measure $measure): array => $measure->endings, PhotoPiece::of($read->pieces[0])->measures))->toBe(array_map(static fn (int $ending): array => $ending === 0 ? [] : [$ending], $endings))
        ->and(PageCodec::read(PageCodec::written($read)))->toEqual($read);
})->with([
    'a bar each' => [[[[397, 544, 16], [546, 693, 16]], []], true, [0, 0, 1, 2, 0, 0, 0, 0]],
    'two bars in the first' => [[[[249, 544, 16], [546, 693, 16]], []], true, [0, 1, 1, 2, 0, 0, 0, 0]],
    'no repeat sign after the first' => [[[[397, 544, 16], [546, 693, 16]], []], false, [0, 0, 0, 0, 0, 0, 0, 0]],
    'no second' => [[[[397, 544, 16]], []], true, [0, 0, 0, 0, 0, 0, 0, 0]],
    'a line without a hook' => [[[[397, 544, 16], [546, 693, 2]], []], true, [0, 0, 0, 0, 0, 0, 0, 0]],
    'one that does not end at a bar line' => [[[[397, 544, 16], [546, 640, 16]], []], true, [0, 0, 0, 0, 0, 0, 0, 0]],
]);

test('repeats are told with the bar that they stand at', function (): void {
    $dots = static function (DrawnStrip $drawn): void {
        // The end of the second bar, and the beginning of the third.
        $drawn->barLine(396, 8)->dot(386, 3)->dot(386, 5);
        $drawn->barLine(690, 8)->dot(680, 3)->dot(680, 5);
    };
    $bars = [quarters(3), quarters(3), quarters(3), quarters(3)];
    $read = page_read((new DrawnPage([[staff_of(Clef::Treble, $bars, $dots), staff_of(Clef::Bass, [REST, REST, REST, REST], $dots)]]))->png());
    expect($read['repeats'])->toBe([[2, 'end'], [4, 'end']]);
});

test('a short first bar in every hand is a pickup, and no doubt', function (array $lower): void {
    $upper = staff_of(Clef::Treble, [quarters(1), quarters(3), quarters(3), quarters(3)]);
    $read = page_read((new DrawnPage([[$upper, staff_of(Clef::Bass, [$lower, quarters(3), quarters(3), quarters(3)])]]))->png());
    expect($read['time'])->toBe([3, 4])
        ->and($read['doubts'])->toBe([])
        ->and(array_values(array_filter($read['notes'], static fn (array $note): bool => $note['bar'] === 1 && $note['staff'] === 1))[0]['dur'])->toEqual(1.0);
})->with(['both play' => [quarters(1)], 'the left hand rests' => [REST]]);

test('one that is short in one hand alone is in doubt', function (): void {
    $upper = staff_of(Clef::Treble, [quarters(2), quarters(3), quarters(3), quarters(3)]);
    $lower = staff_of(Clef::Bass, [quarters(3), quarters(3), quarters(3), quarters(3)]);
    $doubts = page_read((new DrawnPage([[$upper, $lower]]))->png())['doubts'];
    expect($doubts)->toBe([['bar' => 1, 'staff' => 1, 'why' => 'sum']]);
});

test('the time is what the bars come to where no number is seen', function (int $beats): void {
    $bars = array_fill(0, 4, quarters($beats));
    expect(page_read((new DrawnPage([[staff_of(Clef::Treble, $bars)]]))->png())['time'])->toBe([$beats, 4]);
})->with([2, 3, 4]);

test('most lines say the key, not the one that cannot be seen', function (): void {
    $sharp = static fn (DrawnStrip $drawn) => $drawn->sign(Shape::Sharp, 62, Strip::row(8));
    $bars = array_fill(0, 4, quarters(3));
    $systems = [[staff_of(Clef::Treble, $bars, $sharp)], [staff_of(Clef::Treble, $bars, $sharp)], [staff_of(Clef::Treble, $bars)]];
    $read = page_read((new DrawnPage($systems))->png());
    // E4, F sharp, G4: the key holds on the third line too.
    expect($read['key'])->toBe(1)->and(array_column(array_slice($read['notes'], -3), 'midi'))->toBe([64, 66, 67]);
});

test('of two keys that as many lines say, the one with more signs stands: a sign is sooner missed than invented', function (): void {
    $one = static fn (DrawnStrip $drawn) => $drawn->sign(Shape::Sharp, 62, Strip::row(8));
    $bars = array_fill(0, 4, quarters(3));
    foreach ([[null, $one], [$one, null]] as [$first, $second]) {
        expect(page_read((new DrawnPage([[staff_of(Clef::Treble, $bars, $first)], [staff_of(Clef::Treble, $bars, $second)]]))->png())['key'])->toBe(1);
    }
});

test('among grand staves a short stretch of lines is none, and a whole staff is a line of its own', function (int $width, int $bars): void {
    $upper = static fn (): DrawnStrip => staff_of(Clef::Treble, [quarters(3), quarters(3, 2), quarters(3, 4), quarters(3, 1)]);
    $lower = static fn (): DrawnStrip => staff_of(Clef::Bass, [REST, quarters(3, 1), REST, quarters(3, 5)]);
    $alone = $width === 700 ? $upper() : new DrawnStrip($width);
    $page = (new PhotoReader())->read((new DrawnPage([[$upper(), $lower()], [$alone], [$upper(), $lower()]]))->png())->page;
    $read = PhotoDocument::of($page);
    expect($read['clefs'])->toBe(['G', 'F'])->and($read['bars'])->toBe($bars)->and($read['notes'])->toHaveCount($bars === 8 ? 36 : 48)
        ->and(PhotoPiece::of($page->pieces[0])->measures)->toHaveCount($bars);
})->with(['short' => [200, 8], 'whole' => [700, 12]]);

test('what was read goes out as the shorthand', function (): void {
    $text = ShorthandWriter::write(PhotoPiece::of((new PhotoReader())->read(grand_page()->png())->page->pieces[0]))->text;
    expect($text)->toContain('time: 3/4')->and($text)->toMatch('/^R: .*\n(?:R: .*\n)?L: \/ \|/m');
});

test('a system tells which of its staves is joined to the next', function (): void {
    $bars = array_fill(0, 4, quarters(3));
    foreach ([2, 1] as $joined) {
        $staves = [staff_of(Clef::Treble, $bars), staff_of(Clef::Bass, $bars)];
        $picture = Decoder::picture(Decoder::opened((new DrawnPage(array_chunk($staves, $joined)))->png()));
        $read = array_map(static fn (StaffPath $path): Staff => Staff::of($picture, $path, true), StaffFinder::find($picture));
        assert($read !== []);
        expect($read[0]->isJoinedBelow())->toBe($joined === 2)
            ->and($read[1]->isJoinedBelow())->toBeFalse()
            ->and(System::of($read))->toHaveCount(3 - $joined);
    }
});

test('strokes that lean are set upright in the strip', function (): void {
    $picture = Decoder::picture(Decoder::opened(sheared(grand_page()->png(), 0.06)));
    [$path] = StaffFinder::find($picture);
    $strip = StripCutter::cut($picture, $path);
    $seen = 0;
    for ($x = 0; $x < $strip->width(); $x++) {
        // The bar lines, four of them: full columns again.
        $full = substr_count(substr($strip->columns[$x], Strip::TOP, 4 * Strip::SPACE), "\1") >= 60;
        $before = $x > 0 && substr_count(substr($strip->columns[$x - 1], Strip::TOP, 4 * Strip::SPACE), "\1") >= 60;
        $seen += $full && ! $before ? 1 : 0;
    }
    expect($seen)->toBeGreaterThanOrEqual(4)
        ->and(page_read(sheared(grand_page()->png(), 0.06))['notes'])->toHaveCount(36);
});

/** Each row moved to the side by so much of its height: what a camera does that is held from the side. */
function sheared(string $png, float $lean): string
{
    $image = imagecreatefromstring($png);
    [$width, $height] = [imagesx($image), imagesy($image)];
    $to = imagecreatetruecolor($width + (int) ($lean * $height) + 1, $height);
    imagefill($to, 0, 0, 0xFFFFFF);
    for ($y = 0; $y < $height; $y++) {
        imagecopy($to, $image, (int) round($lean * $y), $y, 0, $y, $width, 1);
    }
    ob_start();
    imagepng($to);

    return (string) ob_get_clean();
}

test('a path goes on beyond its ends as it ended', function (): void {
    $path = new StaffPath(10, [100.0, 101.0, 102.0, 103.0], [16.0, 16.0, 15.0, 14.0]);
    expect($path->to())->toBe(13)
        ->and($path->middleAt(12))->toBe(102.0)
        ->and($path->middleAt(8))->toBe(98.0)
        ->and($path->middleAt(15))->toBe(105.0)
        ->and($path->spaceAt(0))->toBe(16.0)
        ->and($path->spaceAt(99))->toBe(14.0);
});

test('a number between two lines of a page is of the one that it stands nearer to', function (string $of, array $bars): void {
    $bar = quarters(3, 2);
    $line = static fn (?int $middle): DrawnStrip => staff_of(Clef::Treble, [$bar, $bar, $bar, $bar], static fn (DrawnStrip $drawn): ?DrawnStrip => $middle === null ? null : $drawn->sign(Shape::Three, 118, $middle));
    $read = page_read((new DrawnPage([[$line($of === 'above' ? Strip::BOTTOM + 34 : null)], [$line($of === 'below' ? Strip::TOP - 34 : null)]]))->png());
    expect(array_column(array_filter($read['notes'], static fn (array $note): bool => $note['finger'] === 3), 'bar'))->toBe($bars);
})->with([['above', [1]], ['below', [5]]]);

test('a doubt is of the sign that it is about: the note that is torn, the length that was not as it was seen', function (): void {
    $bar = quarters(3, 3);
    $more = static function (DrawnStrip $drawn): void {
        // The third note of the first bar is torn, and a blot stands after the second one of the second.
        $drawn->paper(187, Strip::row(5) - 1, 12);
        $drawn->paper(188, Strip::row(5), 10);
        $drawn->dot(324, 5);
    };
    $piece = (new PhotoReader())->read((new DrawnPage([[staff_of(Clef::Treble, [$bar, $bar, $bar, $bar], $more)]]))->png())->page->pieces[0];
    // The second of the second bar was seen with a dot: the last one was made shorter for it.
    expect(array_map(static fn (ReadBar $bar): array => $bar->doubts, $piece->bars))->toBe([[[1, 'place', 2]], [[1, 'sum', 2]], [], []])
        ->and(array_map(static fn (ReadSign $sign): int => $sign->ticks(), $piece->bars[1]->staves[0]))->toBe([48, 72, 24]);
});

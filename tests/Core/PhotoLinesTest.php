<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\Curve;
use Nasturtium\Core\Formats\Photo\Curves;
use Nasturtium\Core\Formats\Photo\HairpinReader;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\LineEnd;
use Nasturtium\Core\Formats\Photo\Opening;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\SlurReader;
use Nasturtium\Core\Formats\Photo\Staff;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;
use Tests\Photo\DrawnStrip;

/*
 * Lines that go along a staff: slurs, ties that go on to the next line, hairpins.
 */

/** Stems up at these columns, all on the same place or each on its own. */
function notes_at(DrawnStrip $drawn, array $places): DrawnStrip
{
    foreach ($places as $x => $place) {
        $drawn->head($x, $place)->stem($x, $place, true);
    }

    return $drawn;
}

/** A staff as it is read, with what is drawn on it. */
function read_staff(DrawnStrip $drawn, Clef $clef = Clef::Treble): Staff
{
    $staff = new Staff($drawn->strip(), $drawn->blobs(), new Opening($clef, 0, null, 20));
    $staff->items = $drawn->items();
    [$staff->slurComes, $staff->slurGoes] = SlurReader::give($staff->items, Curves::of($staff->strip, 20));

    return $staff;
}

/** @return string the ends at each sign, as `(, , )`, with a tie as `~` */
function ends_of(Staff $staff): string
{
    return implode(', ', array_map(static fn (Item $item): string => implode('', array_column($item->lines, 'value')).($item->heads !== [] && $item->heads[0]->tied ? '~' : ''), $staff->items));
}

/** @return list<string> ends and bend of what is found, in pixels */
function found_curves(DrawnStrip $drawn): array
{
    return array_map(static fn (Curve $curve): string => "{$curve->left()} to {$curve->right()}".(['-1' => ' up', '1' => ' down', '0' => ''][(string) $curve->bend()]).($curve->isStraight() ? ' straight' : ''), Curves::of($drawn->strip(), 20));
}

test('a thin line is followed to its end', function (DrawnStrip $drawn, array $found): void {
    expect(found_curves($drawn))->toBe($found);
})->with([
    'bent upwards' => [(new DrawnStrip())->curve(100, 200, 80, -14), ['100 to 200 up']],
    'bent downwards' => [(new DrawnStrip())->curve(100, 200, 170, 14), ['100 to 200 down']],
    'straight' => [(new DrawnStrip())->curve(100, 200, 190, 0, 8), ['100 to 200 straight']],
    'behind a bar line' => [(new DrawnStrip())->curve(100, 200, 80, -14)->box(150, 40, 4, 60), ['100 to 200 up']],
    'through the top line of the staff' => [(new DrawnStrip())->curve(60, 340, 103, -22), ['60 to 340 up']],
    'no longer than a tie is' => [(new DrawnStrip())->curve(100, 128, 80, -8), ['100 to 128 up']],
    'shorter than that' => [(new DrawnStrip())->curve(100, 127, 80, -8), []],
    'as thick as a beam' => [(new DrawnStrip())->box(100, 70, 100, 8), []],
    'two of them side by side, with a cusp' => [(new DrawnStrip())->curve(100, 200, 80, -20)->curve(204, 300, 80, -20), ['100 to 200 up', '204 to 300 up']],
]);

test('a slur goes from the note at its left to the one at its right', function (DrawnStrip $drawn, string $ends): void {
    expect(ends_of(read_staff(notes_at($drawn, [60 => 0, 130 => 1, 200 => 0, 270 => 1]))))->toBe($ends);
})->with([
    'below all four' => [(new DrawnStrip())->curve(60, 270, 176, 20), '(, , , )'],
    'below two of them' => [(new DrawnStrip())->curve(130, 200, 170, 10), ', (, ), '],
    'two slurs' => [(new DrawnStrip())->curve(60, 126, 172, 8)->curve(204, 268, 172, 8), '(, ), (, )'],
    'one within the other is left to typing' => [(new DrawnStrip())->curve(60, 270, 182, 26)->curve(130, 200, 172, 8), '(, , , )'],
    'what is straight is none' => [(new DrawnStrip())->curve(60, 270, 182, 0), ', , , '],
    'nor is what begins far below the notes' => [(new DrawnStrip())->curve(60, 270, 214, 20), ', , , '],
]);

test('between two notes on one place it is a tie, even where a line of the staff hides its middle', function (int $second, string $ends): void {
    $drawn = notes_at(new DrawnStrip(), [100 => 1, 220 => $second])->curve(108, 212, 162, 9);
    $drawn->box(130, Strip::BOTTOM - 2, 12, 30);
    expect(ends_of(read_staff($drawn)))->toBe($ends);
})->with([[1, '~, '], [2, '(, )']]);

test('over the end of a line it is a tie to the same note, and a slur to another', function (array $before, array $after, int $first, Clef $clef, array $ends): void {
    $line = notes_at(new DrawnStrip(), [200 => 0, 300 => 1]);
    foreach ($before as $from) {
        $line->curve($from, 384, 168, 10);
    }
    $next = notes_at(new DrawnStrip(), [100 => $first, 200 => 3]);
    foreach ($after as $to) {
        $next->curve(40, $to, 168, 10);
    }
    [$line, $next] = [read_staff($line), read_staff($next, $clef)];
    SlurReader::over($line, $next);
    expect([ends_of($line), ends_of($next)])->toBe($ends);
})->with([
    'a tie, seen on both' => [[306], [94], 1, Clef::Treble, [', ~', ', ']],
    'seen before the end' => [[306], [], 1, Clef::Treble, [', ~', ', ']],
    'seen after it' => [[], [94], 1, Clef::Treble, [', ~', ', ']],
    'nowhere' => [[], [], 1, Clef::Treble, [', ', ', ']],
    'to another note' => [[306], [94], 0, Clef::Treble, [', (', '), ']],
    'to another note, of which half is seen' => [[306], [], 0, Clef::Treble, [', ', ', ']],
    'from a note further back' => [[206], [94], 1, Clef::Treble, ['(, ', '), ']],
    'to the same place in another clef' => [[306], [94], 1, Clef::Bass, [', (', '), ']],
]);

test('a hairpin is two straight lines that meet', function (DrawnStrip $drawn, string $ends): void {
    $staff = read_staff(notes_at($drawn, [60 => 1, 130 => 3, 200 => 4, 270 => 2]));
    HairpinReader::give([$staff], [Curves::of($staff->strip, 20)], Strip::HEIGHT);
    expect(ends_of($staff))->toBe($ends);
})->with([
    'louder' => [(new DrawnStrip())->hairpin(56, 240, 200, 20, true), '<, , ., '],
    'softer' => [(new DrawnStrip())->hairpin(125, 300, 200, 20, false), ', >, , .'],
    'one after the other' => [(new DrawnStrip())->hairpin(56, 170, 200, 20, true)->hairpin(192, 300, 200, 20, false), '<, ., >, .'],
    'two lines side by side' => [(new DrawnStrip())->curve(56, 240, 190, 0)->curve(56, 240, 208, 0), ', , , '],
    'lines that come near one another and do not meet' => [(new DrawnStrip())->curve(56, 240, 185, 0, 8)->curve(56, 240, 210, 0, -8), ', , , '],
    'one that ends sooner where they are far apart' => [(new DrawnStrip())->curve(56, 240, 200, 0, 10)->curve(56, 200, 200, 0, -8), ', , , '],
    'on the staff' => [(new DrawnStrip())->hairpin(56, 240, 150, 20, true), ', , , '],
]);

test('between two staves it is of the upper one, though it is seen from both', function (array $upper, array $lower): void {
    $drawn = [notes_at(new DrawnStrip(), [60 => 1, 200 => 4]), notes_at(new DrawnStrip(), [60 => 1, 200 => 4])];
    foreach ([$upper, $lower] as $i => $middles) {
        foreach ($middles as $middle) {
            $drawn[$i]->hairpin(56, 180, $middle, 16, true);
        }
    }
    $staves = array_map(read_staff(...), $drawn);
    HairpinReader::give($staves, array_map(static fn (Staff $staff): array => Curves::of($staff->strip, 20), $staves), Strip::BOTTOM + 90);
    expect(array_map(ends_of(...), $staves))->toBe(['<., ', ', ']);
})->with(['seen from the upper' => [[200], []], 'from the lower' => [[], [50]], 'from both' => [[200], [46]]]);

test('slurs and hairpins go out with the piece, are kept, and go where their notes go', function (): void {
    $sign = static fn (int $onset, array $lines = []): ReadSign => new ReadSign(100 + $onset, $onset, 48, 0, [new ReadHead(2)], lines: $lines);
    $bars = [
        new ReadBar([[$sign(0, [LineEnd::SlurStart, LineEnd::Crescendo]), $sign(48), $sign(96, [LineEnd::SlurEnd]), $sign(144, [LineEnd::SlurStart, LineEnd::HairpinEnd])]], false, false, []),
        // What ends nowhere is left out.
        new ReadBar([[$sign(0, [LineEnd::SlurEnd, LineEnd::Diminuendo, LineEnd::HairpinEnd]), $sign(48, [LineEnd::SlurStart]), $sign(96), $sign(144, [LineEnd::HairpinEnd])]], false, false, []),
    ];
    $read = new ReadPhoto([Clef::Treble], 0, new Meter(4, 4), $bars);
    $typed = static fn (ReadPhoto $read): string => preg_match('/^R: (.*)$/m', ShorthandWriter::write(PhotoPiece::of($read))->text, $line) === 1 ? $line[1] : '';
    expect($typed($read))->toBe("< qg'_ g g_ g_ . | > g_ . g g g")
        ->and(PageCodec::read(PageCodec::written(new ReadPage([$read])))->pieces[0])->toEqual($read);
    $rest = $read->with(bars: [$bars[0]->withStaff(0, [$bars[0]->staves[0][0]->with([]), ...array_slice($bars[0]->staves[0], 1)]), $bars[1]]);
    expect($typed($rest))->toBe("< qr g' g g_ . | > g_ . g g g");
});

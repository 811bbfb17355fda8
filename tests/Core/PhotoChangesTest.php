<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\Change;
use Nasturtium\Core\Formats\Photo\ClefReader;
use Nasturtium\Core\Formats\Photo\Corrected;
use Nasturtium\Core\Formats\Photo\Correction;
use Nasturtium\Core\Formats\Photo\Item;
use Nasturtium\Core\Formats\Photo\Opening;
use Nasturtium\Core\Formats\Photo\OpeningReader;
use Nasturtium\Core\Formats\Photo\PageBuilder;
use Nasturtium\Core\Formats\Photo\PageCodec;
use Nasturtium\Core\Formats\Photo\PhotoDocument;
use Nasturtium\Core\Formats\Photo\PhotoPiece;
use Nasturtium\Core\Formats\Photo\Pieces;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadPage;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\Shape;
use Nasturtium\Core\Formats\Photo\Staff;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Photo\System;
use Nasturtium\Core\Formats\Photo\TimeReader;
use Nasturtium\Core\Formats\Shorthand\ShorthandWriter;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Meter;
use Tests\Photo\DrawnStrip;

/*
 * What changes within a page: another clef before a note, another key and another time after a bar line or at the left.
 */

/** A bar is so wide; the first begins after the opening. */
const BAR_WIDE = 330;

/**
 * A staff of three bars of quarters on the middle line, with bar lines of that width.
 *
 * @param list<int> $beats quarters of each bar
 */
function plain_staff(array $beats = [4, 4, 4], int $wide = 3): DrawnStrip
{
    $drawn = (new DrawnStrip(60 + BAR_WIDE * count($beats) + 20))->barLine(0);
    foreach ($beats as $n => $count) {
        for ($i = 0; $i < $count; $i++) {
            $x = 60 + BAR_WIDE * $n + 110 + 60 * $i;
            $drawn->head($x, 3)->stem($x, 3, true);
        }
        $drawn->barLine(60 + BAR_WIDE * ($n + 1), $wide);
    }

    return $drawn;
}

/** The column after the first bar line. */
const SECOND_BAR = 60 + BAR_WIDE + 3;

function read_line(DrawnStrip $upper, ?DrawnStrip $lower = null, int $fifths = 0): System
{
    $opening = static fn (Clef $clef): Opening => new Opening($clef, $fifths, null, 50);
    $staves = [new Staff($upper->strip(), $upper->blobs(), $opening(Clef::Treble))];
    if ($lower !== null) {
        $staves[] = new Staff($lower->strip(), $lower->blobs(), $opening(Clef::Bass));
    }

    return new System($staves);
}

/** @return list<string> by bar, as they are printed */
function times_of(ReadPhoto $read): array
{
    return array_map(static fn (ReadBar $bar): string => $read->timeOf($bar)->printed(), $read->bars);
}

function photo_of(System ...$systems): ReadPhoto
{
    assert($systems !== []);
    foreach ($systems as $system) {
        $system->read(0);
    }

    return PageBuilder::of(array_values($systems), 0);
}

/** @return list<string> of each bar its key, its time, and the notes of its first staff */
function told_by_bar(ReadPhoto $read, int $staff = 0): array
{
    return array_map(static fn (ReadBar $bar): string => $read->keyOf($bar)->fifths.' '.$read->timeOf($bar)->printed().' '
        .implode(' ', array_map(static fn (array $chord): string => implode('+', array_map(static fn ($pitch): string => (string) $pitch->midi(), $chord)), $read->pitches($bar, $staff))), $read->bars);
}

test('from a small clef on the staff has another one, and the clef is no note', function (Clef $clef, int $x, array $told): void {
    $lower = plain_staff([3, 3, 3])->clef(Clef::Treble, 60 + BAR_WIDE + 20);
    $upper = plain_staff([3, 3, 3])->clef($clef, $x);
    $read = photo_of(read_line($upper, $lower));
    expect(told_by_bar($read))->toBe($told)
        // The other staff goes on in its own: G3 before, A4 after.
        ->and(told_by_bar($read, 1)[0])->toBe('0 3/4 48 48 48')->and(told_by_bar($read, 1)[2])->toBe('0 3/4 69 69 69');
})->with([
    'before the second note' => [Clef::Bass, 60 + 110 + 14, ['0 3/4 69 48 48', '0 3/4 48 48 48', '0 3/4 48 48 48']],
    'before the bar line it is of the next bar' => [Clef::Bass, 60 + BAR_WIDE - 44, ['0 3/4 69 69 69', '0 3/4 48 48 48', '0 3/4 48 48 48']],
]);

test('a small bass clef has dots, and either has its size and its place', function (): void {
    $found = static fn (DrawnStrip $drawn): array => array_map(static fn (array $one): string => $one[1]->value, ClefReader::among($drawn->blobs(), 50));
    expect($found((new DrawnStrip())->clef(Clef::Treble, 100)->clef(Clef::Bass, 200)))->toBe(['treble', 'bass'])
        ->and($found((new DrawnStrip())->clef(Clef::Bass, 200, dotted: false)))->toBe([])
        ->and($found((new DrawnStrip())->clef(Clef::Treble, 30)))->toBe([])
        // A chord with its stem is as large.
        ->and($found((new DrawnStrip())->head(100, 1)->head(100, 3)->head(100, 5)->stem(100, 5, true)))->toBe([]);
});

test('a key that both staves show after a bar line is that of the bars from there', function (): void {
    $upper = plain_staff([3, 3, 3])->sign(Shape::Sharp, SECOND_BAR + 12, Strip::row(8))->sign(Shape::Sharp, SECOND_BAR + 33, Strip::row(5));
    $lower = plain_staff([3, 3, 3])->sign(Shape::Sharp, SECOND_BAR + 12, Strip::row(6))->sign(Shape::Sharp, SECOND_BAR + 33, Strip::row(3));
    $read = photo_of(read_line($upper, $lower));
    // C sharp in the left hand’s space, from the second bar on.
    expect(told_by_bar($read))->toBe(['0 3/4 69 69 69', '2 3/4 69 69 69', '2 3/4 69 69 69'])->and(told_by_bar($read, 1))->toBe(['0 3/4 48 48 48', '2 3/4 49 49 49', '2 3/4 49 49 49'])
        ->and(ShorthandWriter::write(PhotoPiece::of($read))->text)->toContain('[key D]');
});

test('a speck that ends where a sign of a key does is no note’s', function (): void {
    $staff = static function (int $lower): DrawnStrip {
        $drawn = plain_staff()->sign(Shape::Sharp, SECOND_BAR + 10, Strip::row(8 - $lower));
        $right = max(array_map(static fn ($blob): int => $blob->left > SECOND_BAR + 6 && $blob->right < SECOND_BAR + 50 ? $blob->right : 0, $drawn->blobs()));

        return $drawn->box($right - 5, 14, 5, 5)->box($right + 1, 10, 13, 14);
    };
    expect(told_by_bar(photo_of(read_line($staff(0), $staff(2))))[1])->toStartWith('1 ');
});

test('what one staff of two shows is no key, and a sign right before its note is that note’s', function (): void {
    $signed = static fn (int $place): DrawnStrip => plain_staff([3, 3, 3])->sign(Shape::Sharp, SECOND_BAR + 12, Strip::row($place));
    expect(told_by_bar(photo_of(read_line($signed(8), plain_staff([3, 3, 3]))))[1])->toStartWith('0 ')
        ->and(told_by_bar(photo_of(read_line($signed(8), $signed(6))))[1])->toStartWith('1 ');
    // Fourteen columns after the sign its note would have to begin.
    $near = static fn (int $place, int $apart): DrawnStrip => $signed($place)->head(SECOND_BAR + 12 + 18 + $apart + 10, $place)->stem(SECOND_BAR + 12 + 18 + $apart + 10, $place, false);
    expect(told_by_bar(photo_of(read_line($near(8, 4), $near(6, 4))))[1])->toStartWith('0 ')
        ->and(told_by_bar(photo_of(read_line($near(8, 26), $near(6, 26))))[1])->toStartWith('1 ');
});

test('naturals take back every sign of a key, or stand before a smaller one', function (int $naturals, ?int $sharps, string $key): void {
    $staff = static function (int $lower) use ($naturals, $sharps): DrawnStrip {
        $drawn = plain_staff([3, 3, 3]);
        $x = SECOND_BAR + 10;
        foreach (array_slice([8, 5], 2 - $naturals) as $place) {
            $drawn->sign(Shape::Natural, $x, Strip::row($place - $lower));
            $x += 16;
        }

        return $sharps === null ? $drawn : $drawn->sign(Shape::Sharp, $x, Strip::row(8 - $lower));
    };
    expect(told_by_bar(photo_of(read_line($staff(0), $staff(2), 2)))[1])->toStartWith($key);
})->with(['both' => [2, null, '0 '], 'one of two is an accidental' => [1, null, '2 '], 'one, and the other stays' => [1, 1, '1 ']]);

test('naturals stand close to one another, and a word above the staff is none of them', function (int $apart, string $key): void {
    $staff = static fn (int $lower): DrawnStrip => plain_staff()->box(SECOND_BAR + 4, 30, 14, 34)
        ->sign(Shape::Natural, SECOND_BAR + 12, Strip::row(8 - $lower))->sign(Shape::Natural, SECOND_BAR + 12 + $apart, Strip::row(5 - $lower));
    expect(told_by_bar(photo_of(read_line($staff(0), $staff(2), 2)))[1])->toStartWith($key);
})->with([[16, '0 '], [11, '0 ']]);

test('a time is read after naturals that do not say which key it is', function (): void {
    $staff = static fn (int $lower): DrawnStrip => plain_staff([4, 3, 3])->sign(Shape::Natural, SECOND_BAR + 8, Strip::row(8 - $lower))->time(SECOND_BAR + 30, 3, 4);
    $read = photo_of(read_line($staff(0), $staff(2), 2));
    expect(times_of($read))->toBe(['4/4', '3/4', '3/4'])->and(told_by_bar($read)[1])->toStartWith('2 ');
});

test('a time after a bar line is that of the bars from there, and its numbers are no bar lines', function (): void {
    $staff = static fn (): DrawnStrip => plain_staff([4, 3, 3])->time(SECOND_BAR + 14, 3, 4);
    $system = read_line($staff(), $staff());
    expect($system->bars)->toHaveCount(3);
    $read = photo_of($system);
    expect(times_of($read))->toBe(['4/4', '3/4', '3/4'])->and((string) $read->time)->toBe('4/4')
        ->and(array_merge(...array_column($read->bars, 'doubts')))->toBe([])
        ->and(ShorthandWriter::write(PhotoPiece::of($read))->text)->toContain('[time 3/4]');
    // One of two staves alone does not say it, nor do numbers that no page has.
    expect(photo_of(read_line($staff(), plain_staff([4, 3, 3])))->bars[1]->time)->toBeNull()
        ->and(photo_of(read_line(plain_staff([4, 3, 3])->time(SECOND_BAR + 14, 9, 4), plain_staff([4, 3, 3])->time(SECOND_BAR + 14, 9, 4)))->bars[1]->time)->toBeNull();
});

test('the sign of a time stands for its numbers, at the left and after a bar line, and goes out as it is printed', function (string $sign, string $other): void {
    $staff = static fn (Clef $clef): DrawnStrip => ($clef === Clef::Treble ? plain_staff()->box(16, Strip::TOP - 22, 24, 112) : plain_staff()->box(16, Strip::TOP - 2, 24, 52))
        ->timeSign(60, $sign)->timeSign(SECOND_BAR + 14, $other);
    $staves = array_map(static fn (Clef $clef): Staff => new Staff($staff($clef)->strip(), $staff($clef)->blobs(), OpeningReader::read($staff($clef)->strip(), $staff($clef)->blobs(), true)), [Clef::Treble, Clef::Bass]);
    $read = photo_of(new System($staves));
    expect(times_of($read))->toBe([$sign, $other, $other])->and(PhotoDocument::of(new ReadPage([$read]))['time'])->toBe($sign === 'C' ? [4, 4] : [2, 2])
        ->and(ShorthandWriter::write(PhotoPiece::of($read))->text)->toContain("time: {$sign}\n")->toContain("[time {$other}]");
    $page = new ReadPage([$read]);
    expect(PageCodec::read(PageCodec::written($page)))->toEqual($page)
        ->and((string) PageCodec::read(str_replace('"time":"'.$sign.'"', '"time":[3,4]', PageCodec::written($page)))->pieces[0]->time)->toBe('3/4');
})->with([['C', 'C|'], ['C|', 'C']]);

test('the sign of a time is in the middle of the staff', function (int $lower, bool $isRead): void {
    $drawn = (new DrawnStrip(300))->barLine(0)->timeSign(60, 'C', $lower);
    expect(TimeReader::after($drawn->strip(), 44, 0.24)[0]?->printed)->toBe($isRead ? 'C' : null);
})->with([[0, true], [3, true], [8, false]]);

test('the 4 of a time is as tall as a bar line, and is none, on one staff or two', function (int $staves): void {
    // Its stem from the top line to the bottom one.
    $staff = static fn (): DrawnStrip => plain_staff([3, 4, 4])->time(SECOND_BAR + 14, 4)->box(SECOND_BAR + 26, Strip::TOP, 3, 66);
    $system = $staves === 1 ? read_line($staff()) : read_line($staff(), $staff());
    expect(array_map(static fn (array $bar): int => (int) $bar[0], $system->bars))->toBe([50, 391, 721]);
    $read = photo_of($system);
    expect(times_of($read))->toBe(['3/4', '4/4', '4/4']);
})->with([1, 2]);

test('a stem that is as tall as the bar line right after it is no bar line', function (int $apart): void {
    // The last note of the first bar stands on the bottom line, its stem goes from there to the top one.
    $x = 60 + BAR_WIDE - $apart;
    $upper = plain_staff([3, 4, 4])->head($x - 9, 0)->box($x, Strip::TOP, 2, 64);
    $system = read_line($upper, plain_staff());
    expect(array_map(static fn (array $bar): int => (int) $bar[1], $system->bars))->toBe([391, 721, 1051]);
    $system->read(0);
    expect(array_sum(array_map(static fn (Item $item): int => $item->pageX < 60 + BAR_WIDE ? 1 : 0, $system->staves[0]->items)))->toBe(4);
})->with([9, 11, 13]);

test('a thin line and a thick one are one end, where the page leans by as much as lies between them too', function (int $aside): void {
    $ended = static fn (int $x): DrawnStrip => (new DrawnStrip(800))->barLine(0)->head(200, 3)->stem(200, 3, true)->barLine($x)->barLine($x + 8, 9);
    $system = read_line($ended(760), $ended(760 - $aside));
    $last = $system->bars[count($system->bars) - 1][3];
    expect([$last?->left, $last?->right, $last?->thick])->toBe([760, 777, 9]);
})->with([0, 5, 8]);

test('of a line that ends with another clef than it began with no note is lost before the next', function (): void {
    $line = static fn (): System => read_line(plain_staff([3, 3, 3]), plain_staff([3, 3, 3])->clef(Clef::Treble, 60 + 110 + 14)->head(60 + 3 * BAR_WIDE - 20, 3)->stem(60 + 3 * BAR_WIDE - 20, 3, true));
    $next = new System(array_map(static fn (Staff $staff): Staff => new Staff($staff->strip, $staff->blobs, new Opening(Clef::Treble, 0, null, 50)), read_line(plain_staff(), plain_staff())->staves));
    $before = $line();
    $before->read(0);
    $count = count($before->staves[1]->items);
    $before->endBefore($next);
    expect($before->staves[1]->items)->toHaveCount($count)->and($count)->toBe(10);
});

test('a line may begin with another time, in the same piece where none ended; in a soft picture every line is thick', function (int $wide, int $last, int $pieces): void {
    $clefed = static fn (DrawnStrip $drawn, Clef $clef): DrawnStrip => $clef === Clef::Treble ? $drawn->box(16, Strip::TOP - 22, 24, 112) : $drawn->box(16, Strip::TOP - 2, 24, 52);
    $system = static function (array $beats, int $number, int $wide, int $last) use ($clefed): System {
        $staves = [];
        foreach ([Clef::Treble, Clef::Bass] as $clef) {
            $drawn = $clefed(plain_staff($beats, $wide), $clef)->time(60, $number, 4)->barLine(60 + BAR_WIDE * count($beats), $last);
            $staves[] = new Staff($drawn->strip(), $drawn->blobs(), new Opening($clef, 0, null, 90));
        }

        return new System($staves);
    };
    $found = Pieces::of([$system([4, 4, 4], 4, $wide, $last), $system([3, 3, 3], 3, $wide, $last)]);
    expect($found)->toHaveCount($pieces)->and($found[$pieces - 1][2 - $pieces]->time()?->printed())->toBe('3/4');
    $read = array_map(static fn (array $systems): ReadPhoto => photo_of(...$systems), $found);
    expect(times_of($read[$pieces - 1])[count($read[$pieces - 1]->bars) - 1])->toBe('3/4');
})->with(['thin' => [3, 3, 1], 'soft' => [6, 6, 1], 'soft, and nearly twice as wide' => [6, 11, 1], 'an end' => [3, 8, 2], 'soft, and an end' => [6, 12, 2]]);

test('clefs, keys and times within a page are kept, and go out as they are typed', function (): void {
    $note = static fn (int $onset, ?Clef $clef = null): ReadSign => new ReadSign(20 + $onset, $onset, 48, 0, [new ReadHead(3)], clef: $clef);
    $lower = [[$note(0), $note(48), $note(96, Clef::Treble), $note(144)], [$note(0), $note(48), $note(96)]];
    $upper = [[$note(0), $note(48), $note(96), $note(144)], [$note(0), $note(48), $note(96)]];
    $page = new ReadPage([new ReadPhoto([Clef::Treble, Clef::Bass], 0, new Meter(4, 4), [
        new ReadBar([$upper[0], $lower[0]], false, false, []),
        new ReadBar([$upper[1], $lower[1]], false, false, [], clefs: [1 => Clef::Treble], fifths: 1, time: new Meter(3, 4)),
    ])]);
    $kept = PageCodec::read(PageCodec::written($page));
    $text = ShorthandWriter::write(PhotoPiece::of($kept->pieces[0]))->text;
    expect($kept)->toEqual($page)->and($text)->toContain('[time 3/4] [key G]')->toContain('[treble]')->and(substr_count($text, '[treble]'))->toBe(1)
        ->and($kept->pieces[0]->clefAfter($kept->pieces[0]->bars[0], 1))->toBe(Clef::Treble);
    $change = static fn (Change $change, int $sign = 0): ReadPhoto => Corrected::page($page, [new Correction($change, staff: 1, sign: $sign)])->pieces[0];
    // Another time of the piece leaves the bar that has one of its own.
    $timed = $change(Change::Time);
    expect([...times_of($timed), $timed->bars[1]->doubts])->toBe(['3/4', '3/4', []])
        ->and($timed->bars[0]->doubts)->toBe([[1, 'sum'], [2, 'sum']]);
    // The note goes, and the clef before it stays.
    expect(array_map(static fn (ReadSign $sign): ?Clef => $sign->clef, $change(Change::Remove, 2)->bars[0]->staves[1]))->toBe([null, null, Clef::Treble]);
});

<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Photo\LineEnd;
use Nasturtium\Core\Formats\Photo\Look;
use Nasturtium\Core\Formats\Photo\Looks;
use Nasturtium\Core\Formats\Photo\Picture;
use Nasturtium\Core\Formats\Photo\ReadBar;
use Nasturtium\Core\Formats\Photo\ReadHead;
use Nasturtium\Core\Formats\Photo\ReadPhoto;
use Nasturtium\Core\Formats\Photo\ReadSign;
use Nasturtium\Core\Formats\Photo\StaffPath;
use Nasturtium\Core\Formats\Photo\Strip;
use Nasturtium\Core\Formats\Photo\StripCutter;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Mark;
use Nasturtium\Core\Score\Meter;

/*
 * Every staff is looked at twice: what comes out the same is right, what does not is asked about.
 */

/**
 * A bar of one staff in 2/4, a quarter on each place.
 *
 * @param list<int>    $places
 * @param list<string> $why    it is in doubt
 * @param bool         $bent   whether its lengths were seen otherwise
 */
function seen_bar(array $places, array $why = [], int $from = 100, ?int $fifths = null, bool $bent = false, ?string $time = null): ReadBar
{
    $signs = [];
    foreach ($places as $i => $place) {
        $signs[] = new ReadSign($from + 20 + 40 * $i, 48 * $i, 48, 0, [new ReadHead($place)], seen: $bent ? [24, 0] : null);
    }

    return new ReadBar([$signs], false, false, array_map(static fn (string $one): array => [1, $one], $why), columns: [[$from, $from + 100]], fifths: $fifths, time: $time === null ? null : Meter::parse($time));
}

/** What the first and the second look are together: the places of its one bar, and why it is in doubt. */
function looked(ReadBar $first, ReadBar ...$second): array
{
    $piece = static fn (ReadBar ...$bars): ReadPhoto => new ReadPhoto([Clef::Treble], 0, Meter::parse('2/4'), array_values($bars));
    $bar = Looks::together($piece($first), $piece(...$second))->bars[0];

    return [array_map(static fn (ReadSign $sign): int => $sign->heads[0]->place ?? -99, $bar->staves[0]), array_column($bar->doubts, 1)];
}

test('what was read twice is as sure as it was once, or in doubt', function (ReadBar $first, ReadBar $second, array $places, array $why): void {
    expect(looked($first, $second))->toBe([$places, $why]);
})->with([
    'the same, and sure' => [seen_bar([1, 2]), seen_bar([1, 2]), [1, 2], []],
    'the same, and sure the first time' => [seen_bar([1, 2]), seen_bar([1, 2], ['more']), [1, 2], []],
    'the same, and sure the second time' => [seen_bar([1, 2], ['sum', 'place']), seen_bar([1, 2]), [1, 2], []],
    'the same, and in doubt both times' => [seen_bar([1, 2], ['sum']), seen_bar([1, 2], ['more']), [1, 2], ['sum']],
    'sure the second time alone' => [seen_bar([1, 2], ['sum']), seen_bar([1, 3]), [1, 3], []],
    'another sign more, the second time sure' => [seen_bar([1], ['sum']), seen_bar([1, 3]), [1, 3], []],
    'both sure, and not the same' => [seen_bar([1, 2]), seen_bar([1, 3]), [1, 2], ['twice']],
    'sure the first time alone' => [seen_bar([1, 2]), seen_bar([1, 3], ['more']), [1, 2], ['twice']],
    'sure the first time, and lengths that are in doubt' => [seen_bar([1, 2]), seen_bar([1, 3], ['sum']), [1, 2], []],
    'sure the first time, and bent lengths' => [seen_bar([1, 2]), seen_bar([1, 3], bent: true), [1, 2], []],
    'bent lengths, and sure the second time' => [seen_bar([1, 2], bent: true), seen_bar([1, 3]), [1, 3], []],
    'bent both times' => [seen_bar([1, 2], bent: true), seen_bar([1, 3], bent: true), [1, 2], ['twice']],
    'bent lengths, in doubt, and sure the second time, though bent too' => [seen_bar([1, 2], ['sum'], bent: true), seen_bar([1, 3], bent: true), [1, 3], []],
    'lengths that came to the bar, a note in doubt, and bent lengths' => [seen_bar([1, 2], ['more']), seen_bar([1, 3], bent: true), [1, 2], ['more']],
    'in doubt both times, and not the same' => [seen_bar([1, 2], ['sum']), seen_bar([1, 3], ['more']), [1, 2], ['sum']],
    'a key that changes, the first time alone, where it makes another note' => [seen_bar([3, 1], ['more'], fifths: -1), seen_bar([4, 1]), [3, 1], ['more']],
    'another time than the piece, both times' => [seen_bar([1, 2], ['sum'], time: '2/2'), seen_bar([1, 3], time: '2/2'), [1, 3], []],
    'another time, the first time alone' => [seen_bar([1, 2], ['sum'], time: '2/2'), seen_bar([1, 3]), [1, 2], ['sum']],
    'another key for the same places' => [seen_bar([4, 1], fifths: -1), seen_bar([4, 1]), [4, 1], ['twice']],
    'another key, and none of its notes' => [seen_bar([0, 1], fifths: -1), seen_bar([0, 1]), [0, 1], []],
]);

test('an accidental that was seen the other time too, and not known, is the one that was', function (array $first, array $second, array $why, array $told): void {
    $bar = static fn (array $signs, array $why): ReadBar => new ReadBar([array_map(static fn (?int $sign, int $i): ReadSign => new ReadSign(40 + 40 * $i, 48 * $i, 48, 0, [new ReadHead(3, $sign)]), $signs, array_keys($signs))], false, false, array_map(static fn (string $one): array => [1, $one], $why), columns: [[0, 100]]);
    $piece = static fn (ReadBar $one): ReadPhoto => new ReadPhoto([Clef::Treble], 0, Meter::parse('2/4'), [$one]);
    expect(array_column(Looks::together($piece($bar($first, [])), $piece($bar($second, $why)))->bars[0]->doubts, 1))->toBe($told);
})->with([
    'a stroke of it was seen' => [[null, 1], [null, null], ['sign'], []],
    'nothing of it was seen' => [[null, 1], [null, null], [], ['twice']],
    'something else was in doubt too' => [[null, 1], [null, null], ['sign', 'more'], ['twice']],
    'another one was read' => [[null, 1], [null, -1], ['sign'], ['twice']],
    'one was read that is not there the first time' => [[null, null], [1, null], ['sign'], ['twice']],
    'a note was missed too' => [[null, 1], [null], ['sign'], ['twice']],
]);

test('the sign that was not the same is looked at first', function (array $first, array $second, int $at): void {
    $piece = static fn (ReadBar $bar): ReadPhoto => new ReadPhoto([Clef::Treble], 0, Meter::parse('2/4'), [$bar]);
    $bar = Looks::together($piece(seen_bar($first)), $piece(seen_bar($second)))->bars[0];
    expect($bar->doubts)->toBe([[1, 'twice', $at]])->and($bar->doubtful(0))->toBe($at)->and($bar->doubtful(1))->toBe(0);
})->with([
    'the first' => [[1, 2], [0, 2], 0],
    'a later one' => [[1, 2], [1, 3], 1],
    'one that was not there the other time' => [[1, 2], [1], 1],
    'one that was there the other time alone' => [[1], [1, 3], 0],
    'none' => [[], [1], 0],
]);

test('of several doubts the first sign is looked at', function (): void {
    expect(seen_bar([1, 2, 3])->doubted([[2, 'sign', 0], [1, 'more', 2], [1, 'place', 1], [1, 'count']])->doubtful(0))->toBe(1);
});

test('the other reading is kept where one is asked which is right', function (ReadBar $first, ReadBar $second, array $others): void {
    $piece = static fn (ReadBar $bar): ReadPhoto => new ReadPhoto([Clef::Treble], 0, Meter::parse('2/4'), [$bar]);
    expect(Looks::together($piece($first), $piece($second))->bars[0]->others)->toEqual($others);
})->with([
    'both sure' => [seen_bar([1, 2]), seen_bar([1, 3]), seen_bar([1, 3])->staves],
    'both in doubt' => [seen_bar([1, 2], ['sum']), seen_bar([1, 3], ['more']), seen_bar([1, 3])->staves],
    'the same' => [seen_bar([1, 2], ['sum']), seen_bar([1, 2], ['sum']), []],
    'one sure' => [seen_bar([1, 2], ['sum']), seen_bar([1, 3]), []],
    'in another key' => [seen_bar([4, 1], fifths: -1), seen_bar([4, 1]), []],
]);

test('bars are the same where both ends stand together, up to a space apart', function (int $apart, array $why): void {
    expect(looked(seen_bar([1, 2]), seen_bar([1, 3], from: 100 + $apart))[1])->toBe($why);
})->with([[15, ['twice']], [-15, ['twice']], [16, []], [-16, []]]);

test('a bar that was seen the first time alone is as it was', function (): void {
    expect(looked(seen_bar([1, 2], ['sum'])))->toBe([[1, 2], ['sum']])
        ->and(looked(seen_bar([1, 2], ['sum']), seen_bar([1, 2], from: 300)))->toBe([[1, 2], ['sum']]);
});

test('a bar line that was seen once is there; other bars than the page counts are asked about', function (): void {
    expect(looked(seen_bar([1, 2], ['line']), seen_bar([1, 2]))[1])->toBe([])
        ->and(looked(seen_bar([1, 2], ['line']), seen_bar([1, 2], ['line']))[1])->toBe(['line'])
        ->and(looked(seen_bar([1, 2], ['count']), seen_bar([1, 2]))[1])->toBe(['count'])
        ->and(looked(seen_bar([1, 2], ['line', 'sum']), seen_bar([1, 3], ['line'])))->toBe([[1, 3], ['line']]);
});

test('what is taken from the second time keeps the words and the lines of the first, with fingers and ties that it has not', function (): void {
    $one = static fn (int $x, ReadHead $head, string $lyric = '', array $lines = [], array $marks = []): ReadSign => new ReadSign($x, 0, 96, 0, [$head], $marks, $lyric, lines: $lines);
    $bar = static fn (ReadSign $sign, array $why): ReadBar => new ReadBar([[$sign]], false, false, $why, columns: [[0, 100]]);
    $piece = static fn (ReadBar $bar): ReadPhoto => new ReadPhoto([Clef::Treble], 0, Meter::parse('2/4'), [$bar]);
    $together = static fn (int $apart, ReadHead $second): ReadSign => Looks::together(
        $piece($bar($one(40, new ReadHead(2, finger: 3, tied: true), 'la', [LineEnd::SlurStart]), [[1, 'more']])),
        $piece($bar(new ReadSign(40 + $apart, 0, 48, 0, [$second], [Mark::Staccato]), [])),
    )->bars[0]->staves[0][0];
    $near = $together(7, new ReadHead(2));
    expect([$near->lyric, $near->lines, $near->marks, $near->base])->toBe(['la', [LineEnd::SlurStart], [Mark::Staccato], 48])
        ->and($near->heads)->toEqual([new ReadHead(2, finger: 3, tied: true)])
        ->and($together(0, new ReadHead(2, finger: 4))->heads)->toEqual([new ReadHead(2, finger: 4, tied: true)])
        ->and($together(0, new ReadHead(3))->heads)->toEqual([new ReadHead(3)])
        ->and($together(8, new ReadHead(2))->lyric)->toBe('');
});

test('what came out the same has the ties of both times, and the fingers of the time that has more of them', function (array $first, array $second, array $fingers): void {
    $sign = static fn (array $fingers, bool $tied): ReadSign => new ReadSign(40, 0, 96, 0, array_map(static fn (int $place, ?int $finger): ReadHead => new ReadHead($place, finger: $finger, tied: $tied), [0, 2, 4], $fingers), lyric: $tied ? 'la' : '');
    $piece = static fn (ReadSign $sign): ReadPhoto => new ReadPhoto([Clef::Treble], 0, Meter::parse('2/4'), [new ReadBar([[$sign]], false, false, [], columns: [[0, 100]])]);
    $together = Looks::together($piece($sign($first, false)), $piece($sign($second, true)))->bars[0]->staves[0][0];
    expect(array_column($together->heads, 'finger'))->toBe($fingers)
        ->and(array_column($together->heads, 'tied'))->toBe([true, true, true])
        ->and($together->lyric)->toBe('');
})->with([
    'one was missed, and another stood in its place' => [[null, 1, 5], [1, 3, 5], [1, 3, 5]],
    'as many' => [[1, 3, 5], [1, 2, 5], [1, 3, 5]],
    'fewer' => [[1, 3, 5], [1, null, 5], [1, 3, 5]],
]);

test('the second time more has to be dark to be ink, half a pixel aside', function (): void {
    $column = static function (int $grey): string {
        $column = str_repeat("\xC8", 400);
        foreach (range(0, 4) as $line) {
            $column = substr_replace($column, "\0\0", 168 + 16 * $line, 2);
        }

        return substr_replace($column, str_repeat(chr($grey), 10), 120, 10);
    };
    // Ink lacks 31.8 of a hundred of the light of its paper, or 38.2: of 200 that is 136 and 123.
    foreach ([[118, true, true], [130, true, false], [142, false, false]] as [$grey, $once, $twice]) {
        $picture = new Picture(array_fill(0, 300, $column($grey)), 400, 1.0);
        $first = StripCutter::cut($picture, new StaffPath(60, array_fill(0, 200, 200.0), array_fill(0, 200, 16.0)));
        $again = StripCutter::again($picture, $first);
        $row = 125 - 200 + Strip::TOP + 2 * Strip::SPACE;
        expect([$first->columns[50][$row] === "\1", $again->columns[50][$row] === "\1"])->toBe([$once, $twice])
            ->and($again->pageX[50] - $first->pageX[50])->toBe(Look::Second->aside());
    }
});

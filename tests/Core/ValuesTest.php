<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\PlayOrder;
use Nasturtium\Core\Practice\PersonName;
use Nasturtium\Core\Practice\TaskClass;
use Nasturtium\Core\Practice\TaskTimes;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Score\BarRange;
use Nasturtium\Core\Score\Duration;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\InvalidScore;
use Nasturtium\Core\Score\Meter;
use Nasturtium\Core\Score\Piece;
use Nasturtium\Core\Score\Pitch;

/*
 * The small values everything rests on.
 */

test('sums of fractions', function (array $a, array $b, string $sum, string $difference, string $product): void {
    [$a, $b] = [Fraction::of(...$a), Fraction::of(...$b)];
    expect((string) $a->plus($b))->toBe($sum)
        ->and((string) $a->minus($b))->toBe($difference)
        ->and((string) $a->times($b))->toBe($product);
})->with([
    [[1, 2], [1, 4], '3/4', '1/4', '1/8'],
    [[1, 3], [1, 6], '1/2', '1/6', '1/18'],
    [[3, 8], [3, 8], '3/4', '0', '9/64'],
    [[0], [5, 7], '5/7', '-5/7', '0'],
    [[-1, 2], [1, 2], '0', '-1', '-1/4'],
    [[7], [2], '9', '5', '14'],
]);

test('whole parts and what is left', function (array $number, int $floor, int $ceil, string $part): void {
    $fraction = Fraction::of(...$number);
    expect([$fraction->floor(), $fraction->ceil(), (string) $fraction->part()])->toBe([$floor, $ceil, $part]);
})->with([
    [[0], 0, 0, '0'],
    [[3], 3, 3, '0'],
    [[5, 2], 2, 3, '1/2'],
    [[1, 3], 0, 1, '1/3'],
    [[-1, 3], -1, 0, '2/3'],
    [[-4, 2], -2, -2, '0'],
]);

test('a division by nothing is refused', fn () => Fraction::of(1)->dividedBy(Fraction::zero()))->throws(InvalidScore::class);

test('how a length is written as one note', function (array $length, ?array $note): void {
    expect(Duration::of(...$length)->asNote())->toBe($note);
})->with([
    [[1], ['whole', 0]],
    [[1, 2], ['half', 0]],
    [[3, 4], ['half', 1]],
    [[7, 8], ['half', 2]],
    [[1, 4], ['quarter', 0]],
    [[3, 8], ['quarter', 1]],
    [[1, 8], ['eighth', 0]],
    [[3, 16], ['eighth', 1]],
    [[1, 16], ['16th', 0]],
    [[1, 32], ['32nd', 0]],
    [[5, 8], null],
    [[1, 12], null],
    [[2], null],
]);

test('meters: a full measure, its felt beat', function (string $meter, string $measure, bool $compound): void {
    $parsed = Meter::parse($meter);
    expect((string) $parsed->measure())->toBe($measure)
        ->and($parsed->isCompound())->toBe($compound)
        ->and((string) $parsed)->toBe($meter);
})->with([
    ['4/4', '1', false],
    ['3/4', '3/4', false],
    ['2/2', '1', false],
    ['3/8', '3/8', false],
    ['6/8', '3/4', true],
    ['9/8', '9/8', true],
    ['12/8', '3/2', true],
    ['5/4', '5/4', false],
]);

test('notes are read by their names', function (string $name, int $step, int $octave, int $alter): void {
    $pitch = Pitch::parse($name);
    expect([$pitch->step, $pitch->octave, $pitch->alter])->toBe([$step, $octave, $alter]);
})->with([
    ['C4', 0, 4, 0],
    ['c4', 0, 4, 0],
    ['F#3', 3, 3, 1],
    ['Bb2', 6, 2, -1],
    ['bb2', 6, 2, -1],
    ['A##5', 5, 5, 2],
    ['Ebb4', 2, 4, -2],
]);

test('names that are none are refused', function (string $name): void {
    expect(fn () => Pitch::parse($name))->toThrow(InvalidScore::class);
})->with(['', 'C', '4', 'H4', 'C#b4', 'C44444', 'middle C']);

test('the nearest mark of the metronome that is not faster', function (int $tempo, int $mark): void {
    expect(TempoLadder::below($tempo))->toBe($mark);
})->with([
    'half beats on 76' => [39, 38],
    'half beats on 58' => [29, 29],
    'the slowest half beats' => [20, 20],
    'slower than anything' => [19, 20],
    [40, 40],
    [41, 40],
    [59, 58],
    [61, 60],
    [65, 63],
    [71, 69],
    [75, 72],
    [119, 116],
    [125, 120],
    [143, 138],
    [151, 144],
    [300, 208],
]);

test('sixty per cent of a goal, on the mark below', function (int $goal, int $start): void {
    $ladder = TempoLadder::for(tune("tempo: {$goal}\nR: @c4 w1\n"));
    expect([$ladder->from, $ladder->goal])->toBe([$start, $goal]);
})->with([
    [60, 36],
    [72, 42],
    [80, 48],
    [88, 52],
    [92, 54],
    [100, 60],
    [108, 63],
    [120, 72],
    [132, 76],
    [160, 96],
    [200, 120],
]);

test('minutes of naming, three seconds a note, rounded up to the half', function (int $notes, int $halves): void {
    expect(TaskTimes::naming($notes)->later)->toBe($halves);
})->with([
    [0, 2],
    [1, 2],
    [20, 2],
    [21, 3],
    [30, 3],
    [31, 4],
    [100, 10],
]);

test('minutes of a task, on its first day and later', function (TaskClass $class, int $times, array $beats, int $countIn, array $tempi, array $halves): void {
    $of = TaskTimes::of($class, $times, [[Fraction::of(...$beats), $countIn]], $tempi);
    expect([$of->first, $of->later])->toBe($halves);
})->with([
    // Each time is ((beats + count-in) × 60 ÷ tempo + 4) seconds; a place that is played takes 20 to find.
    'three in a row, 16 at 60: 20 + 6 × 24 = 164 s, then 20 + 4 × 24 = 116 s' => [TaskClass::Playing, 3, [16], 4, [60], [6, 4]],
    'three in a row, 16 at 120: 20 + 6 × 14 = 104 s, then 76 s' => [TaskClass::Playing, 3, [16], 4, [120], [4, 3]],
    'once through, 32 at 60: 20 + 2 × 40 = 100 s, then 20 + 4/3 × 40 = 73 1/3 s' => [TaskClass::Playing, 1, [32], 4, [60], [4, 3]],
    'a remedy, 8 at 60: 20 + 5 × 16 = 100 s on each day' => [TaskClass::Remedy, 3, [8], 4, [60], [4, 4]],
    'a review, 40 at 60: 20 + 48 = 68 s' => [TaskClass::Review, 1, [40], 4, [60], [3, 3]],
    'tapping, right, left and both, 16 at 60: 6 × 24 = 144 s, then 72 s' => [TaskClass::Preparation, 3, [16], 4, [60], [5, 3]],
    'a ladder from 60 to 63, three a rung: 20 + 3 × 24 + 3 × (20 × 60 ÷ 63 + 4) = 161 1/7 s' => [TaskClass::Playing, 3, [16], 4, [60, 63], [6, 6]],
    'a part of a beat counts: 20 + 6 × 10 1/2 = 83 s' => [TaskClass::Playing, 3, [5, 2], 4, [60], [3, 3]],
    'just two minutes: 20 + 4 × 25 = 120 s' => [TaskClass::Playing, 2, [17], 4, [60], [4, 3]],
    'a minute is the least' => [TaskClass::Preparation, 1, [4], 4, [120], [2, 2]],
]);

test('a pace of one’s own stretches the times of a task', function (array $pace, array $halves): void {
    $at = (new TaskTimes(6, 4))->atPace(Fraction::of(...$pace));
    expect([$at->first, $at->later])->toBe($halves);
})->with([
    [[1], [6, 4]],
    [[3, 2], [9, 6]],
    'rounded up' => [[11, 10], [7, 5]],
    'never under a minute' => [[1, 4], [2, 2]],
]);

test('the way through odd repeats comes to an end', function (string $music, array $order): void {
    $piece = tune($music);
    expect(array_map(fn (int $index): int => $piece->measures[$index]->number, PlayOrder::of($piece)))->toBe($order);
})->with([
    'two repeats in a row' => ["R: @c4 w1 :| w2 :|\n", [1, 1, 2, 2]],
    'a sign that is never closed' => ["R: @c4 w1 |: w2 | w3\n", [1, 2, 3]],
    'an ending that is never repeated' => ["R: @c4 w1 [1 w2 [2 w3\n", [1, 2]],
    'three endings' => ["R: @c4 w1 [1 w2 :| [2 w3 :| [3 w4\n", [1, 2, 1, 3, 1, 4]],
    'endings, then a new section' => ["R: @c4 w1 [1 w2 :| [2 w3 |: w4 :|\n", [1, 2, 1, 3, 4, 4]],
    'with a pickup' => ["R: @c4 q5 | w1 | h.1 :|\n", [0, 1, 2, 0, 1, 2]],
]);

test('a piece without a measure is none', fn () => new Piece('Nothing', []))->throws(InvalidScore::class, 'at least one measure');

test('lines follow the breaks of the page', function (): void {
    $piece = tune("R: @c4 w1 | w2\nR: w3\nR: w4 | w5\n");
    expect(array_map(fn ($line): string => "{$line->from}–{$line->to}", $piece->lines()))->toBe(['0–1', '2–2', '3–4']);
});

test('a range of bars is said as one bar or as several, and never runs backwards', function (int $first, int $last, ?string $words): void {
    $words === null
        ? expect(static fn () => new BarRange($first, $last))->toThrow(InvalidScore::class)
        : expect((new BarRange($first, $last))->words())->toBe($words)->and((new BarRange($first, $last))->isOne())->toBe($first === $last);
})->with([[3, 3, 'bar 3'], [0, 1, 'bars 0–1'], [3, 4, 'bars 3–4'], [4, 3, null]]);

test('a student is called by the first name and an initial', function (): void {
    expect((new PersonName('Ida', 'T'))->short())->toBe('Ida T.');
});

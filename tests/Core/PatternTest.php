<?php

declare(strict_types=1);

/** @return list<string> chunks of a kind as `from-to` */
function chunks_of(array $report, string $kind): array
{
    return array_map(
        fn (array $chunk): string => "{$chunk['from']}-{$chunk['to']} ".implode(',', $chunk['serves']),
        array_values(array_filter($report['chunks'], fn (array $chunk): bool => $chunk['kind'] === $kind)),
    );
}

test('equal bars: identical, same rhythm, same shape, by hand and both', function (): void {
    // Bar 2 is bar 1 a step higher, bar 3 its rhythm only, bar 4 is bar 1 over another left hand.
    $equal = broken_down("R: @c4 q1 2 h3 | q2 3 h4 | q5 4 h1 | q1 2 h3\nL: @5=c3 w5 | w5 | / | w1\n")['equal'];
    expect($equal['right'])->toBe(['same' => [[1, 4]], 'rhythm' => [[1, 2, 3, 4]], 'shape' => [[1, 2, 4]]])
        ->and($equal['left'])->toBe(['same' => [[1, 2]], 'rhythm' => [[1, 2, 4]], 'shape' => [[1, 2, 4]]])
        ->and($equal['bars'])->toBe([]);
});

test('fingers do not matter to equal bars, and bars of rest are in no group', function (): void {
    expect(broken_down("R: @c4 q1 2 h3 | / | qc d he | /\n")['equal']['bars'])->toBe([[1, 3]]);
});

test('a bar that is tied into does not equal one that is struck', function (): void {
    expect(broken_down("R: @c4 w1~ | w1 | w1\n")['equal']['right']['same'])->toBe([[1, 3]]);
});

test('lines get letters, a prime for sixty per cent', function (string $music, array $letters): void {
    expect(array_column(broken_down($music)['lines'], 'letter'))->toBe($letters);
})->with([
    'A B A' => ["R: @c4 q1234 | w5\nR: q5432 | w1\nR: q1234 | w5\n", ['A', 'B', 'A']],
    // 6 of 8 beats are the same; 4 of 8 are not enough.
    'A A′' => ["R: @c4 q1234 | h5 h5\nR: q1234 | h5 h1\n", ['A', 'A′']],
    'A B' => ["R: @c4 q1234 | h5 h5\nR: q1234 | h4 h1\n", ['A', 'B']],
    'A A′ A″ would be two primes' => ["R: @c4 q1234 | h5 h5\nR: q1234 | h5 h1\nR: q1234 | h5 h3\n", ['A', 'A′', 'A′′']],
    'another number of bars' => ["R: @c4 q1234 | w5\nR: q1234\n", ['A', 'B']],
]);

test('what the hands do in each bar, and how they move', function (): void {
    $hands = broken_down(
        "R: @c4 w1 | / | h1 r | q1 2 3 4 | q1 2 3 4 | w1 | q1 2 3 2 | /\n"
        ."L: @5=c3 / | w5 | h r 5 | q5 4 3 2 | q1 2 3 4 | q5 4 3 4 | q5 4 3 4 | /\n",
    )['hands'];
    expect(array_column($hands, 'play'))->toBe(['R', 'L', 'turns', 'together', 'together', 'together', 'together', 'rest'])
        ->and(array_column($hands, 'motion'))->toBe([null, null, null, 'parallel', 'contrary', 'oblique', 'parallel', null])
        ->and(array_column($hands, 'same_rhythm'))->toBe([null, null, null, true, true, false, true, null]);
});

test('mixed motion is more than one kind in a bar', function (): void {
    expect(broken_down("R: @c4 q1 2 3 2\nL: @5=c3 q5 4 5 4\n")['hands'][0]['motion'])->toBe('mixed');
});

test('bar-overs go through the next sounding beat and are listed once', function (): void {
    $report = broken_down("R: @c4 q1 2 3 2 | 1 2 3 2 | 1 2 3 2 | r 5 h5\n");
    expect(chunks_of($report, 'bar-over'))->toBe(['1.1-2.1 1.1,2.1', '3.1-4.2 3.1']);
});

test('lines, halves and turns', function (): void {
    $report = broken_down("R: @c4 w1 | w2 | w3 | w4\nR: w5 | w4 | w3 | w1\n");
    expect(chunks_of($report, 'line'))->toBe(['1.1-4.4 1.1', '5.1-8.4 5.1'])
        ->and(chunks_of($report, 'half-line'))->toBe(['1.1-2.4 1.1', '3.1-4.4 3.1', '5.1-6.4 5.1', '7.1-8.4 7.1'])
        ->and(chunks_of($report, 'line turn'))->toBe(['3.1-5.4 3.1'])
        ->and(chunks_of($report, 'whole'))->toBe(['1.1-8.4 1.1'])
        ->and(chunks_of($report, 'section'))->toBe([]);
});

test('equal lines are one chunk that serves both places', function (): void {
    expect(chunks_of(broken_down("R: @c4 w1 | w2\nR: w5 | w4\nR: w1 | w2\n"), 'line'))->toBe(['1.1-2.4 1.1,5.1', '3.1-4.4 3.1']);
});

test('sections lie between repeat signs', function (): void {
    expect(chunks_of(broken_down("R: @c4 w1 | w2 :| w3 | w4\n"), 'section'))->toBe(['1.1-2.4 1.1', '3.1-4.4 3.1']);
});

test('the whole lasts as long as it is played', function (): void {
    $whole = array_values(array_filter(broken_down("R: @c4 w1 | w2 :|\n")['chunks'], fn (array $chunk): bool => $chunk['kind'] === 'whole'))[0];
    expect($whole['beats'])->toBe('16');
});

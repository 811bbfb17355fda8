<?php

declare(strict_types=1);

test('numbers run up in the right hand and down in the left', function (): void {
    $report = broken_down("R: @c4 q1bcd | cdef | w1\nL: @5=c3 q5def | gfed | w5\n");
    $left = array_slice(each_event($report, 'fingers', 'L'), 0, 5);
    expect($left)->toBe([[5], [4], [3], [2], [1]])
        ->and(array_column($report['positions'], 'name', 'hand')['L'])->toBe('C position');
});

test('a tune on five keys stays in one position, printed fingers are told from worked-out ones', function (): void {
    $report = broken_down("R: @c4 q1 d e f | g f e d | w1\n");
    expect(each_event($report, 'fingers'))->toBe([[1], [2], [3], [4], [5], [4], [3], [2], [1]])
        ->and(array_slice(each_event($report, 'finger_from'), 0, 2))->toBe(['page', 'worked out'])
        ->and($report['positions'])->toBe([['hand' => 'R', 'from' => '1.1', 'to' => '3.1', 'thumb' => 'C4', 'low' => 'C4', 'high' => 'G4', 'name' => 'C position']])
        ->and($report['shifts'])->toBe([]);
});

test('positions are named with the hand they play with', function (string $music, array $names): void {
    expect(array_column(broken_down($music)['positions'], 'name'))->toBe($names);
})->with([
    'both thumbs on middle C' => ["R: @c4 w1\nL: @c4 w1\n", ['middle C position', 'middle C position']],
    'left little finger on C3' => ["R: @c4 w1\nL: @5=c3 w5\n", ['C position', 'C position']],
    'G position, low left' => ["R: @g4 w1\nL: @5=g2 w5\n", ['G position', 'G position']],
    'G position, left below' => ["R: @g4 w1\nL: @5=g3 w5\n", ['G position', 'G position']],
    'elsewhere' => ["R: @d4 w1\nL: @a3 w1\n", ['thumb on D4', 'thumb on A3']],
    'alone' => ["R: @c4 w1\n", ['C position']],
]);

test('a shift is found where the tune leaves the five keys, at the rest that gives time', function (): void {
    // From the C position up to G4–D5 and back: the only rests are before the moves.
    $report = broken_down("R: @c4 q1 d e r | @g4 q1 a b r | @c4 q1 d e r\n");
    expect($report['shifts'])->toBe([['hand' => 'R', 'at' => '2.1', 'keys' => 4], ['hand' => 'R', 'at' => '3.1', 'keys' => -4]])
        ->and(array_column($report['positions'], 'from'))->toBe(['1.1', '2.1', '3.1']);
});

test('without printed fingers the move comes where there is time for it', function (): void {
    // C D E F, then A B C: F may stay with the thumb on C, A must not; the half note before bar 2 gives the time.
    $report = broken_down("R: q c d h f | q a b c r\n");
    expect($report['shifts'])->toHaveCount(1)->and($report['shifts'][0]['at'])->toBe('2.1');
});

test('the left hand shifts too', function (): void {
    $report = broken_down("R: / | /\nL: @5=c3 q5 3 1 r | @5=g2 q5 3 1 r\n");
    expect($report['shifts'])->toBe([['hand' => 'L', 'at' => '2.1', 'keys' => -3]]);
});

test('moving is preferred to stretching for one note', function (): void {
    $report = broken_down("R: @c4 h1 e | g a | g e | w c\n");
    expect(each_event($report, 'fingers'))->each->toHaveCount(1)
        ->and(array_merge(...each_event($report, 'fingers')))->not->toContain(6);
    $reach = array_filter($report['positions'], fn (array $position): bool => $position['high'] === 'A4');
    expect($reach)->not->toBe([]);
});

test('a chord takes the fingers of its position', function (): void {
    expect(each_event(broken_down("R: @c4 w1 | (ceg)\n"), 'fingers'))->toBe([[1], [1, 3, 5]])
        ->and(each_event(broken_down("R: w c | c\nL: @5=c3 w5 | (ceg)\n"), 'fingers', 'L'))->toBe([[5], [5, 3, 1]]);
});

test('an octave is taken by thumb and little finger', function (): void {
    expect(each_event(broken_down("R: w (cc')\n"), 'fingers'))->toBe([[1, 5]]);
});

test('a tied note keeps its finger and is no new note', function (): void {
    $report = broken_down("R: @c4 w3~ | w3 e\n");
    expect(each_event($report, 'fingers'))->toBe([[3], [3], [3]])->and($report['shifts'])->toBe([]);
});

test('a printed finger that fights its surroundings is reported with what would fit', function (): void {
    $checks = broken_down("R: @c4 q1 2 f^2 e | d c h c\n")['checks'];
    expect($checks)->toHaveCount(1)
        ->and($checks[0]['code'])->toBe('finger_fights')
        ->and($checks[0]['place'])->toBe('1.3')
        ->and($checks[0]['text'])->toContain('printed finger 2 on F4')->toContain('finger 4');
});

test('printed fingers no position allows are reported and still shown', function (): void {
    $report = broken_down("R: @c4 w (c^5g^1)\n");
    expect($report['checks'][0]['code'])->toBe('finger_impossible')
        ->and(each_event($report, 'fingers'))->toBe([[5, 1]]);
});

test('the position follows the key signature', function (): void {
    expect(broken_down("key: D\nR: @f4 w1\n")['positions'][0]['name'])->toBe('thumb on F#4');
});

<?php

declare(strict_types=1);

use Nasturtium\Core\Fingering\InvalidFinger;
use Nasturtium\Core\Fingering\OwnFingers;
use Nasturtium\Core\Report\Settings;

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
        ->and($report['positions'])->toBe([['hand' => 'R', 'from' => '1.1', 'to' => '3.1', 'thumb' => 'C4', 'low' => 'C4', 'high' => 'G4', 'keys' => [60, 62, 64, 65, 67], 'name' => 'C position']])
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
    expect($report['shifts'])->toBe([
        ['hand' => 'R', 'at' => '2.1', 'keys' => 4, 'from' => 'C4', 'to' => 'G4', 'beats' => '2', 'rest' => '1'],
        ['hand' => 'R', 'at' => '3.1', 'keys' => -4, 'from' => 'G4', 'to' => 'C4', 'beats' => '2', 'rest' => '1'],
    ])
        ->and(array_column($report['positions'], 'from'))->toBe(['1.1', '2.1', '3.1']);
});

test('without printed fingers the move comes where there is time for it', function (): void {
    // C D E F, then A B C: F may stay with the thumb on C, A must not; the half note before bar 2 gives the time.
    $report = broken_down("R: q c d h f | q a b c r\n");
    expect($report['shifts'])->toHaveCount(1)->and($report['shifts'][0]['at'])->toBe('2.1');
});

test('the left hand shifts too', function (): void {
    $report = broken_down("R: / | /\nL: @5=c3 q5 3 1 r | @5=g2 q5 3 1 r\n");
    expect($report['shifts'])->toBe([['hand' => 'L', 'at' => '2.1', 'keys' => -3, 'from' => 'G3', 'to' => 'D3', 'beats' => '2', 'rest' => '1']]);
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

/** @return string the fingers of a hand, in time */
function fingers_through(string $music, string $hand = 'R', ?Settings $settings = null): string
{
    return implode(' ', array_map(static fn (array $fingers): string => implode('+', $fingers), each_event(broken_down($music, $settings), 'fingers', $hand)));
}

test('in a scale the thumb goes under, and a finger over on the way back', function (string $music, string $hand, string $fingers): void {
    expect(fingers_through($music, $hand))->toBe($fingers);
})->with([
    'C up, right' => ["R: v c d e f g a b c\n", 'R', '1 2 3 1 2 3 4 5'],
    'C down, right' => ["R: v c' b a g f e d c\n", 'R', '5 4 3 2 1 3 2 1'],
    'C up, left' => ["R: / \nL: v c, d e f g a b c\n", 'L', '5 4 3 2 1 3 2 1'],
    'C down, left' => ["R: / \nL: v c b a g f e d c\n", 'L', '1 2 3 1 2 3 4 5'],
    'F up, right: the thumb is not put on B flat' => ["key: F\nR: v f g a b c d e f\n", 'R', '1 2 3 4 1 2 3 4'],
    'two octaves up' => ["R: v c d e f g a b c | d e f g a b q c\n", 'R', '1 2 3 1 2 3 4 1 2 3 1 2 3 4 5'],
]);

test('a run of six takes the thumb under as one of eight does', function (): void {
    $report = broken_down("R: @c4 q1 d e f | g a h g\n");
    expect($report['crossings'])->toBe([['hand' => 'R', 'at' => '1.4', 'kind' => 'under', 'finger' => 3]])
        ->and($report['shifts'])->toBe([])
        ->and(array_unique(array_slice(each_event($report, 'pattern'), 1)))->toBe(['C major scale']);
});

test('crossings are told with their place and their finger, and are no shifts', function (): void {
    $report = broken_down("R: v c' b a g f e d c\nL: v c, d e f g a b c\n");
    expect($report['crossings'])->toBe([
        ['hand' => 'R', 'at' => '1.3+1/2', 'kind' => 'over', 'finger' => 3],
        ['hand' => 'L', 'at' => '1.3+1/2', 'kind' => 'over', 'finger' => 3],
    ])
        ->and($report['shifts'])->toBe([])
        ->and(broken_down("R: v c d e f g a b c\n")['crossings'])->toBe([['hand' => 'R', 'at' => '1.2+1/2', 'kind' => 'under', 'finger' => 3]]);
});

test('printed fingers of a scale are obeyed', function (): void {
    expect(fingers_through("R: v c^1 d e f g^1 a b c\n"))->toBe('1 2 3 4 1 2 3 4');
});

test('repeated notes keep the finger', function (): void {
    expect(fingers_through("R: @c4 q1 c c c | d d h d\n"))->toBe('1 1 1 1 2 2 2');
});

test('a shift in a rest is preferred to one without time', function (): void {
    // B4 and C5 lie outside C–G: the hand moves at the rest, though the G after it lies under both.
    $report = broken_down("R: @c4 q1 e g r | @g4 g b c g | h b g\n");
    expect($report['shifts'][0])->toMatchArray(['at' => '2.1', 'rest' => '1', 'beats' => '2'])->and($report['shifts'])->toHaveCount(1);
});

test('the teacher sets a finger, and the rest follows', function (): void {
    $tune = "R: @c4 q1 d e f | g a h g\n";
    $plain = broken_down($tune);
    $own = broken_down($tune, new Settings(fingers: OwnFingers::of(['R 2.1 G4' => 4])));
    expect(each_event($plain, 'finger_from'))->toBe(['page', ...array_fill(0, 6, 'pattern')])
        ->and(each_event($own, 'finger_from')[4])->toBe('teacher')
        ->and(each_event($own, 'fingers')[4])->toBe([4])
        ->and(each_event($own, 'fingers')[5])->toBe([5])
        ->and(each_event($own, 'fingers')[6])->toBe([4]);
});

test('the teacher has the last word over the page', function (): void {
    $own = broken_down("R: @c4 q1 2 3 4 | w1\n", new Settings(fingers: OwnFingers::of(['R 1.1 C4' => 2])));
    expect(each_event($own, 'fingers')[0])->toBe([2])->and(each_event($own, 'finger_from')[0])->toBe('teacher');
});

test('a finger of the teacher that no hand could use is shown, with what would lie there', function (): void {
    $report = broken_down("R: @c4 w (ceg)\n", new Settings(fingers: OwnFingers::of(['R 1.1 C4' => 5])));
    expect($report['checks'][0]['code'])->toBe('finger_impossible')
        ->and($report['checks'][0]['text'])->toContain('your finger 5')->toContain('1 3 5 would lie there')
        ->and(each_event($report, 'fingers'))->toBe([[5, 3, 5]]);
});

test('a finger for a note that is not there any more changes nothing', function (): void {
    $tune = "R: @c4 q1 d e f | w1\n";
    expect(broken_down($tune, new Settings(fingers: OwnFingers::of(['R 9.1 C4' => 3]))))->toBe(broken_down($tune));
});

test('a hand has five fingers', fn () => OwnFingers::of(['R 1.1 C4' => 6]))->throws(InvalidFinger::class, 'not 6');

test('leaps are moves of the arm: a sixth and more', function (): void {
    expect(broken_down("R: @c4 q1 g a, c' | w c\n")['leaps'])->toBe([
        ['hand' => 'R', 'at' => '1.3', 'from' => 'G4', 'to' => 'A3', 'move' => 'leap down 7th'],
        ['hand' => 'R', 'at' => '1.4', 'from' => 'A3', 'to' => 'C5', 'move' => 'leap up 10th'],
        ['hand' => 'R', 'at' => '2.1', 'from' => 'C5', 'to' => 'C4', 'move' => 'leap down octave'],
    ]);
});

test('a chord is held against the student\'s hand', function (int $hand, array $spans): void {
    expect(broken_down("R: @c4 h(ceg) (ca') | w(cc')\n", new Settings(handSpan: $hand))['spans'])->toBe($spans);
})->with([
    'six keys' => [6, [['hand' => 'R', 'at' => '1.3', 'keys' => 6, 'fits' => true], ['hand' => 'R', 'at' => '2.1', 'keys' => 8, 'fits' => false]]],
    'an octave' => [8, [['hand' => 'R', 'at' => '1.3', 'keys' => 6, 'fits' => true], ['hand' => 'R', 'at' => '2.1', 'keys' => 8, 'fits' => true]]],
    'four keys' => [4, [['hand' => 'R', 'at' => '1.1', 'keys' => 5, 'fits' => false], ['hand' => 'R', 'at' => '1.3', 'keys' => 6, 'fits' => false], ['hand' => 'R', 'at' => '2.1', 'keys' => 8, 'fits' => false]]],
]);

test('fingers 4 and 5 alone, four strikes and more or three in eighths, are told', function (string $music, array $runs): void {
    expect(array_map(static fn (array $run): string => "{$run['hand']} {$run['from']}–{$run['to']}", broken_down($music)['weak_runs']))->toBe($runs);
})->with([
    'back and forth' => ["R: @c4 q4 5 4 5 | w1\n", ['R 1.1–1.4']],
    'the left hand' => ["R: / | /\nL: @5=c3 q5 4 5 4 | w1\n", ['L 1.1–1.4']],
    'three in quarters are none' => ["R: / | /\nL: @5=c3 q5 4 5 1 | w5\n", []],
    'three in eighths' => ["R: / | /\nL: @5=c3 v5 4 5 1 h1 | w5\n", ['L 1.1–1.2']],
    'two are none' => ["R: @c4 q4 5 1 1 | w1\n", []],
    'one key again and again is none' => ["R: @c4 q5 5 5 5 | w1\n", []],
]);

test('finger lines are said bar by bar, rests and held notes left out', function (): void {
    $report = broken_down("R: @c4 q1 3 2 4 | h5 5~ | q5 r h(135)\nL: @5=c3 w5 | / | /\n");
    expect(array_map(static fn (array $line): string => "{$line['measure']} {$line['hand']}: {$line['text']}", $report['finger_lines']))
        ->toBe(['1 R: 1 3 2 4', '1 L: 5', '2 R: 5 5', '3 R: 1+3+5']);
});

test('in a duet the student plays an octave higher: positions and key places follow, fingers and reading do not', function (): void {
    $tune = "R: @c4 q1 2 3 4 | w1\nL: @5=c3 w5 | 5\n";
    $report = broken_down($tune, new Settings(octave: 1));
    expect(array_column($report['positions'], 'name'))->toBe(['thumb on C5', 'thumb on G4'])
        ->and($report['notes'][0])->toMatchArray(['pitch' => 'C4', 'key' => 'left of the two black keys, one octave above that of middle C', 'midi' => 72, 'staff' => 'ledger 1 below'])
        ->and(each_event($report, 'fingers'))->toBe(each_event(broken_down($tune), 'fingers'));
});

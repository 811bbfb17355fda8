<?php

declare(strict_types=1);

use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\Grip;
use Nasturtium\Core\Fingering\Grips;
use Nasturtium\Core\Fingering\OwnFingers;
use Nasturtium\Core\Fingering\Reach;
use Nasturtium\Core\Fingering\Strikes;
use Nasturtium\Core\Score\Hand;

require_once __DIR__.'/../Fingers.php';

/** @return list<string> fingers and cost of each grip of the first strike, the thumb's side first */
function grips(string $notes, Hand $hand = Hand::Right): array
{
    $strike = Strikes::of(passage($notes, $hand), $hand, OwnFingers::none())[0];
    $grips = new Grips(Reach::usual());

    return array_map(
        static fn (Grip $grip): string => implode(' ', $grip->fingers)." ({$grip->cost})",
        $grips->obeying($strike) ?? [],
    );
}

test('a white key is as good for every finger; a black one is not for the thumb', function (): void {
    expect(grips('G4'))->toBe(['1 (0)', '2 (0)', '3 (0)', '4 (0)', '5 (0)'])
        ->and(grips('F#4', Hand::Left))->toBe(['1 (3)', '2 (0)', '3 (0)', '4 (0)', '5 (1)']);
});

test('a printed finger leaves the grips that obey it', function (): void {
    expect(grips('G4:3'))->toBe(['3 (0)'])->and(grips('G4:6'))->toBe([]);
});

test('a chord takes its standard fingers, from the thumb outwards in either hand', function (string $notes, Hand $hand, string $best): void {
    expect(grips($notes, $hand)[0])->toBe($best);
})->with([
    ['C4+E4+G4', Hand::Right, '1 3 5 (0)'],
    ['C3+E3+G3', Hand::Left, '1 3 5 (0)'],
    ['C4+F4', Hand::Right, '1 4 (0)'],
    ['C4+A4', Hand::Right, '1 5 (1)'],
    ['C4+C5', Hand::Right, '1 5 (5)'],
]);

test('a chord that no hand reaches is told as one to roll, and more than five keys still have fingers', function (): void {
    expect((int) trim(strrchr(grips('C4+G5')[0], '('), '()'))->toBeGreaterThan(20)
        ->and(grips('C4+D4+E4+F4+G4+A4'))->toHaveCount(1);
});

test('fingers apart are relaxed, comfortable, practical or out of reach', function (int $lower, int $higher, array $edges): void {
    // The farthest half steps of each, and one beyond.
    $reach = Reach::usual();
    expect(array_map(static fn (int $halfSteps): ?int => $reach->strain($lower, $higher, $halfSteps), $edges))
        ->toBe([Reach::RELAXED, Reach::COMFORTABLE, Reach::PRACTICAL, null]);
})->with([
    [1, 2, [5, 8, 10, 11]], [1, 3, [7, 10, 12, 13]], [1, 4, [9, 12, 14, 15]], [1, 5, [10, 13, 15, 16]], [2, 3, [2, 3, 5, 6]],
    [2, 4, [4, 5, 7, 8]], [2, 5, [6, 8, 10, 11]], [3, 5, [4, 5, 7, 8]], [4, 5, [2, 3, 5, 6]],
]);

test('of a small hand two half steps less with the thumb, one less without, never below the relaxed', function (): void {
    $small = Reach::small();
    expect([$small->strain(1, 5, 11), $small->strain(1, 5, 12), $small->strain(1, 5, 13), $small->strain(1, 5, 14)])->toBe([Reach::COMFORTABLE, Reach::PRACTICAL, Reach::PRACTICAL, null])
        ->and([$small->strain(3, 4, 2), $small->strain(3, 4, 3), $small->strain(3, 4, 4)])->toBe([Reach::RELAXED, Reach::PRACTICAL, null]);
});

/** @return list<int|null> */
function fingers_of(string $tune, Hand $hand = Hand::Right): array
{
    $piece = tune($tune);
    $found = FingerSearch::for($piece, $hand)->fingers;
    $fingers = [];
    foreach ($piece->hand($hand) as $event) {
        array_push($fingers, ...$found[$event->id] ?? []);
    }

    return $fingers;
}

test('fingers of small tunes, worked out', function (string $tune, array $fingers): void {
    expect(fingers_of($tune))->toBe($fingers);
})->with([
    'five keys up and down' => ["R: q c d e f g f e d c r h r\n", [1, 2, 3, 4, 5, 4, 3, 2, 1]],
    'two keys only lie under the named position' => ["R: @d4 q e f e f\n", [3, 4, 3, 4]],
    'a printed finger moves the whole position' => ["R: @c4 q c d e^2 f\n", [2, 1, 2, 3]],
    'the last printed finger counts backwards too' => ["R: @d4 q e f g a^5\n", [2, 3, 4, 5]],
    'repeated notes keep their finger' => ["R: @c4 q3 e e e\n", [3, 3, 3, 3]],
    'rests change nothing' => ["R: @c4 q1 r 3 r\n", [1, 3]],
    'G position by its reach' => ["R: q g a b d' r r r r\n", [1, 2, 3, 5]],
]);

test('fingers of the left hand, worked out', function (string $tune, array $fingers): void {
    expect(fingers_of($tune, Hand::Left))->toBe($fingers);
})->with([
    'down from the thumb' => ["R: /\nL: @g3 q1 f e d\n", [1, 2, 3, 4]],
    'middle C position' => ["R: /\nL: @c4 q1 b a g\n", [1, 2, 3, 4]],
    'broken chord' => ["R: /\nL: @5=c3 q5 e g e\n", [5, 3, 1, 3]],
    'a chord' => ["R: /\nL: @5=c3 w(531)\n", [5, 3, 1]],
]);

test('a long part takes one pass: its positions are as many as its moves', function (): void {
    $tune = "R: @c4 q1 3 2 4\nR: @g4 q1 3 2 4\n";
    $report = broken_down(str_repeat($tune, 20));
    // Up the thumb goes under the fourth finger, back the hand moves.
    expect($report['shifts'])->toHaveCount(19)->and($report['crossings'])->toHaveCount(20)
        ->and(array_column($report['positions'], 'name'))->toBe(array_merge(...array_fill(0, 20, ['C position', 'G position'])))
        ->and(array_unique(array_column($report['shifts'], 'keys')))->toBe([-4]);
});

<?php

declare(strict_types=1);

use Nasturtium\Core\Fingering\FingerSearch;
use Nasturtium\Core\Fingering\HandSize;
use Nasturtium\Core\Report\Breakdown;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Hand;

require_once __DIR__.'/../Fingers.php';

// Short passages with the fingers that a teacher pencils in, and why.

test('a passage has the fingers a teacher pencils in', function (string $hand, string $key, string $notes, string $fingers): void {
    expect(fingered(passage($notes, hand_of($hand), $key), hand_of($hand)))->toBe($fingers);
})->with([
    'a chromatic run that starts on C starts with the thumb; 3 on black keys' => ['R', 'C', 'C4 C#4 D4 D#4 E4 F4 F#4', '1 3 1 3 1 2 3'],
    'chromatic from D: where two white keys meet, 2 on F' => ['R', 'C', 'D4 D#4 E4 F4 F#4 G4', '1 3 1 2 3 1'],
    'chromatic down: 2 on C and F' => ['R', 'C', 'C5 B4 Bb4 A4 Ab4 G4 Gb4 F4 E4', '2 1 3 1 3 1 3 2 1'],
    'chromatic, left: 2 on E, where two white keys meet' => ['L', 'C', 'E3 F3 F#3 G3 G#3 A3', '2 1 3 1 3 1'],
    'chromatic down, left: 2 on B' => ['L', 'C', 'C4 B3 Bb3 A3 Ab3 G3', '1 2 3 1 3 1'],
    'three half steps are three fingers, never one for a key and its sharp' => ['R', 'C', 'F4 F#4 G4', '1 2 3'],
    'a neighbor below has a finger of its own' => ['R', 'C', 'G4 F#4 G4 A4', '3 2 3 4'],
    'a broken chord of four lies in the open hand' => ['R', 'C', 'C4 E4 G4 C5', '1 2 3 5'],
    'an arpeggio of two octaves: thumb on the root' => ['R', 'C', 'C4 E4 G4 C5 E5 G5 C6', '1 2 3 1 2 3 5'],
    'and in the left hand' => ['L', 'C', 'C2 E2 G2 C3 E3 G3 C4', '5 4 2 1 4 2 1'],
    'up and down are the same fingers' => ['L', 'C', 'C2 E2 G2 C3 E3 G3 C4 G3 E3 C3 G2 E2 C2', '5 4 2 1 4 2 1 2 4 1 2 4 5'],
    'D major: a black third changes nothing in the right hand' => ['R', 'D', 'D4 F#4 A4 D5 F#5 A5 D6', '1 2 3 1 2 3 5'],
    'in the left hand a black third lies under 3' => ['L', 'D', 'D2 F#2 A2 D3 F#3 A3 D4', '5 3 2 1 3 2 1'],
    'from a black key the thumb comes on the first white one' => ['R', 'Bb', 'Bb3 D4 F4 Bb4 D5 F5 Bb5', '2 1 2 4 1 2 4'],
    'left: on the white key below the root' => ['L', 'Bb', 'Bb2 D3 F3 Bb3 D4 F4 Bb4', '3 2 1 3 2 1 3'],
    'E flat, left: the thumb on its only white key' => ['L', 'Eb', 'Eb2 G2 Bb2 Eb3 G3 Bb3 Eb4', '2 1 4 2 1 4 2'],
    'E flat, right' => ['R', 'Eb', 'Eb3 G3 Bb3 Eb4 G4 Bb4 Eb5', '2 1 2 4 1 2 4'],
    'first inversion: 4 where a third lies before the thumb' => ['R', 'C', 'E4 G4 C5 E5 G5 C6 E6', '1 2 4 1 2 4 5'],
    'second inversion, left: 3 where a fourth does' => ['L', 'C', 'G2 C3 E3 G3 C4 E4 G4', '5 3 2 1 3 2 1'],
    'each broken chord has the fingers of its inversion' => ['R', 'C', 'C4 E4 G4 C5 E4 G4 C5 E5', '1 2 3 5 1 2 4 5'],
    'the ends of the open hand are 5 and 1, 2 stands between' => ['L', 'C', 'C3 G3 C4 G3', '5 2 1 2'],
    'a swing over a sixth is one open hand' => ['R', 'C', 'C4 A4 C4 A4', '1 5 1 5'],
    'and in the left hand' => ['L', 'C', 'q:C3 q:A3 q:C3 q:A3', '5 1 5 1'],
    'a run of six takes the thumb under, and the way back keeps its fingers' => ['R', 'C', 'C4 D4 E4 F4 G4 A4 G4 F4', '1 2 3 1 2 3 2 1'],
    'a run of six from G' => ['R', 'C', 'G4 A4 B4 C5 D5 E5', '1 2 3 1 2 3'],
    'one key below the position: a finger over, and the thumb again' => ['R', 'C', 'G4 F4 E4 D4 C4 B3 C4', '5 4 3 2 1 2 1'],
    'a scale and a note, and back' => ['R', 'C', 'C4 D4 E4 F4 G4 A4 B4 C5 D5 C5 B4 A4 G4 F4 E4 D4 C4', '1 2 3 1 2 3 4 1 2 1 4 3 2 1 3 2 1'],
    'a scale that begins on its second degree' => ['R', 'C', 'D4 E4 F4 G4 A4 B4 C5 D5 E5 F5 G5 A5 B5 C6 D6', '2 3 1 2 3 4 1 2 3 1 2 3 4 1 2'],
    'and on its third' => ['R', 'G', 'B3 C4 D4 E4 F#4 G4 A4 B4', '3 1 2 3 4 1 2 3'],
    'down a scale, left' => ['L', 'C', 'C4 B3 A3 G3 F3 E3 D3 C3', '1 2 3 1 2 3 4 5'],
    'no thumb on B flat' => ['R', 'Bb', 'Bb3 C4 D4 Eb4 F4 G4 A4 Bb4', '2 1 2 3 1 2 3 4'],
    'three black keys are 2 3 4' => ['R', 'C', 'F#4 G#4 A#4', '2 3 4'],
    'one, four and five-seven in the right hand' => ['R', 'C', 'h:C4+E4+G4 h:C4+F4+A4 h:B3+F4+G4 h:C4+E4+G4', '1+3+5 1+3+5 1+4+5 1+3+5'],
    'and in the left' => ['L', 'C', 'h:C3+E3+G3 h:C3+F3+A3 h:B2+F3+G3 h:C3+E3+G3', '5+3+1 5+2+1 5+2+1 5+3+1'],
    'a triad and its inversions' => ['R', 'C', 'q:C4+E4+G4 q:E4+G4+C5 q:G4+C5+E5', '1+3+5 1+2+5 1+3+5'],
    'and in the left hand' => ['L', 'C', 'q:C3+E3+G3 q:E3+G3+C4 q:G3+C4+E4', '5+3+1 5+3+1 5+2+1'],
    'triads that move by step keep their shape' => ['R', 'C', 'q:C4+E4+G4 q:D4+F4+A4 q:E4+G4+B4', '1+3+5 1+3+5 1+3+5'],
    'four keys, left' => ['L', 'C', 'h:G2+B2+D3+F3 h:C3+E3+G3+C4', '5+4+2+1 5+4+2+1'],
    'broken as it is blocked' => ['R', 'C', 'C4 E4 G4 E4 C4 F4 A4 F4 B3 F4 G4 F4', '1 3 5 3 1 3 5 3 1 4 5 4'],
    'a broken accompaniment has the fingers of its chords' => ['L', 'C', 'C3 G3 E3 G3 C3 A3 F3 A3 B2 G3 F3 G3', '5 1 3 1 5 1 2 1 5 1 2 1'],
    'an inversion, and on from its little finger' => ['R', 'C', 'q:E4 q:G4 q:C5 q:B4 q:A4 q:G4', '1 2 5 4 3 2'],
    'a printed thumb under is obeyed' => ['R', 'C', 'q:C4:1 q:D4:2 q:E4:3 q:F4:1', '1 2 3 1'],
    'one key more than five: the hand opens by the thumb' => ['R', 'C', 'q:C4 q:E4 q:G4 q:A4 q:G4 q:E4 h:C4', '1 2 4 5 4 2 1'],
    'a sixth with a third in it' => ['R', 'C', 'q:C4 q:E4 q:A4 q:E4', '1 2 5 2'],
    'a tune that goes one below C lies one lower from the start' => ['R', 'C', 'q:C4 q:D4 q:E4 q:C4 q:B3 h:C4', '2 3 4 2 1 2'],
    'D position has F sharp under its third finger' => ['R', 'D', 'q:D4 q:E4 q:F#4 q:G4 q:A4 q:F#4 h:D4', '1 2 3 4 5 3 1'],
    'five keys of E flat: the position is stronger than the black key' => ['R', 'Eb', 'q:Eb4 q:F4 q:G4 q:Ab4 q:Bb4 q:G4 h:Eb4', '1 2 3 4 5 3 1'],
    'F position, left' => ['L', 'F', 'q:F3 q:G3 q:A3 q:Bb3 q:C4 q:A3 h:F3', '5 4 3 2 1 3 5'],
    'skips within five keys' => ['R', 'C', 'q:C4 q:E4 q:D4 q:F4 q:E4 q:G4 h:C4', '1 3 2 4 3 5 1'],
    'thirds within five keys' => ['R', 'C', 'h:C4+E4 h:D4+F4 h:E4+G4 h:C4', '1+3 2+4 3+5 1'],
    'sixths are thumb and little finger' => ['R', 'C', 'h:C4+A4 h:B3+G4 h:C4+A4', '1+5 1+5 1+5'],
    'and octaves' => ['L', 'C', 'h:C3+C4 h:G2+G3 h:C3+C4', '5+1 5+1 5+1'],
    'a waltz bass: the chords as they would be blocked' => ['L', 'C', 'q:C3 q:E3+G3 q:E3+G3 q:- q:B2 q:F3+G3 q:F3+G3', '5 3+1 3+1 5 2+1 2+1'],
    'in a rest the hand moves, and a key may change its finger' => ['R', 'C', 'q:C4 q:E4 q:G4 q:- q:G4 q:A4 q:B4 q:C5', '1 3 5 1 2 3 4'],
    'a fourth lies under five fingers, staccato or not' => ['R', 'C', 'q:G4. q:C5. q:G4. q:C5.', '1 4 1 4'],
    'a leading note below: no thumb on its black key' => ['R', 'Am', 'q:A4 q:G#4 q:A4 q:B4 q:C5 q:B4 h:A4', '3 2 3 4 5 4 3'],
    'thirds down through G position' => ['R', 'G', 'q:D5 q:B4 q:C5 q:A4 q:B4 q:G4 h:A4', '5 3 4 2 3 1 2'],
    'a triad down, left' => ['L', 'C', 'q:C4 q:A3 q:F3 q:A3 w:C4', '1 3 5 3 1'],
    'up and down an open chord' => ['R', 'C', 'C4 E4 G4 C5 G4 E4 C4', '1 2 3 5 3 2 1'],
    'F position, right' => ['R', 'F', 'q:F4 q:G4 q:A4 q:Bb4 q:C5 q:A4 h:F4', '1 2 3 4 5 3 1'],
]);

test('another choice as good is told beside the first', function (string $hand, string $key, string $notes, string $or): void {
    $piece = passage($notes, hand_of($hand), $key);
    expect(said_fingers($piece, hand_of($hand), FingerSearch::for($piece, hand_of($hand)), 'or'))->toBe($or);
})->with([
    'B flat may start with 4' => ['R', 'Bb', 'Bb3 C4 D4 Eb4 F4 G4 A4 Bb4', '4 1 2 3 1 2 3 4'],
    'A flat may start with 2 and 3' => ['R', 'Ab', 'Ab3 Bb3 C4 Db4 Eb4 F4 G4 Ab4', '2 3 1 2 3 1 2 3'],
    'the chromatic scale from C with 2' => ['R', 'C', 'C4 C#4 D4 D#4', '2 3 1 3'],
    'a broken chord with 3 in place of 4' => ['R', 'C', 'E4 G4 C5 E5', '1 2 3 5'],
    'C major has one standard' => ['R', 'C', 'C4 D4 E4 F4 G4 A4 B4 C5', '1 2 3 1 2 3 4 5'],
]);

test('a pattern has its name, and says that it is one', function (string $notes, ?string $name): void {
    $found = FingerSearch::for(passage($notes), Hand::Right);
    expect($found->patterns['e0'] ?? null)->toBe($name)
        ->and($found->sources['e0']->value)->toBe($name === null ? 'worked out' : 'pattern');
})->with([
    ['A4 B4 C#5 D5 E5 F#5 G#5 A5', 'A major scale'],
    ['A4 B4 C5 D5 E5 F5 G#5 A5', 'A harmonic minor scale'],
    ['A4 B4 C5 D5 E5 F#5 G#5 A5', 'A melodic minor scale'],
    ['D5 C5 Bb4 A4 G4 F4 E4 D4', 'D natural minor scale'],
    ['C4 C#4 D4 D#4', 'chromatic scale'],
    ['D4 F4 A4 D5 F5 A5', 'D minor arpeggio'],
    ['E4+G4+C5', 'C major chord, first inversion'],
    ['B3+F4+G4', 'G dominant seventh chord, first inversion'],
    ['C4 D4 E4 F4 G4', null],
]);

test('printed fingers that go another way put the pattern aside', function (): void {
    $piece = passage('C4 D4 E4 F4:4 G4 A4 B4 C5');
    $found = FingerSearch::for($piece, Hand::Right);
    expect($found->patterns)->toBe([])->and(fingered($piece, Hand::Right))->toStartWith('1 2 3 4 1 2');
});

test('a hand that nobody has measured is small under ten', function (int $age, int $span, string $moves): void {
    // Thumb and little finger a ninth apart and a third between: practical for a hand of ten, for a smaller one a move.
    $piece = passage('q:C4+D5 q:D4+E5');
    expect(FingerSearch::for($piece, Hand::Right, null, HandSize::of($span, $age))->fingers['e0'])->toBe([1, 5])
        ->and(HandSize::of($span, $age)->reach->strain(1, 5, 14) === null ? 'out of reach' : 'within')->toBe($moves);
})->with([[9, 6, 'out of reach'], [10, 6, 'within'], [9, 8, 'within']]);

test('a second voice has fingers too, and what is held keeps its own', function (): void {
    $report = broken_down("R: @c4 w1\nR2: q e f g f\n");
    $fingers = array_map(static fn (array $event): array => [$event['voice'], $event['fingers']], array_values(array_filter($report['events'], static fn (array $event): bool => $event['hand'] === 'R')));
    expect($fingers)->toBe([[1, [1]], [2, [3]], [2, [4]], [2, [5]], [2, [4]]]);
});

test('a swing in an open hand is one position, no shift and no leap', function (): void {
    $report = document(Breakdown::of(passage('q:C3 q:A3 q:C3 q:A3 q:C3 q:A3 q:C3 q:A3', Hand::Left), new Settings()));
    expect($report['shifts'])->toBe([])->and($report['leaps'])->toBe([])
        ->and(array_column($report['positions'], 'name'))->toBe(['thumb on A3, open hand']);
});

test('a position whose thumb lies on a black key is named by it', function (): void {
    expect(array_column(broken_down("key: E\nR: @g4 q1 2 3 4 | w1\n")['positions'], 'name'))->toBe(['thumb on G#4']);
});

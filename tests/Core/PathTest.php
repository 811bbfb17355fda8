<?php

declare(strict_types=1);

use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Report\Settings;

const TWO_LINES = "tempo: 100\nR: @c4 q1 2 h3 | q3 4 h5\nR: q5 4 h3 | q3 2 h1\nL: @5=c3 w5 | w1 | w5\n";

/** @return list<string> */
function stage_names(string $music, PathKind $path = PathKind::BeatFirst): array
{
    return array_column(broken_down($music, new Settings(path: $path))['stages'], 'name');
}

test('beat first, in its order, without what does not apply', function (): void {
    expect(stage_names("R: @c4 w1 | w2\nL: @5=c3 w5 | w1\nR: w3 | w1\nL: w5 | w5\n"))->toBe([
        'look over', 'tap and count', 'name the notes', 'fingers in the air', 'right hand', 'left hand',
        'hands together', 'join lines', 'whole, slow', 'tempo ladder', 'finish',
    ]);
});

test('no left hand, one line: no left hand, together or joining', function (): void {
    expect(stage_names("R: @c4 w1 | w2\n"))->toBe([
        'look over', 'tap and count', 'name the notes', 'fingers in the air', 'right hand', 'whole, slow', 'tempo ladder', 'finish',
    ]);
});

test('hands that take turns hand over instead of playing together', function (): void {
    $report = broken_down("R: @c4 q1 2 h3 | / | q1 2 h3 | /\nL: @5=c3 / | q1 2 h3 | / | w5\n");
    $names = array_column($report['stages'], 'name');
    $over = $report['stages'][array_search('hand over', $names, true)];
    expect($names)->not->toContain('hands together')
        ->and(array_map(fn (array $chunk): string => "{$chunk['from']}-{$chunk['to']}", $over['chunks']))->toBe(['1.1-2.4', '2.1-3.4', '3.1-4.4']);
});

test('the other paths have their own order', function (): void {
    $two = "R: @c4 w1 | w2\nL: @5=c3 w5 | w1\n";
    expect(stage_names($two, PathKind::NotesFirst))->toBe([
        'look over', 'find and name notes', 'position and fingers', 'right hand, no counting', 'right hand, counting',
        'left hand, no counting', 'left hand, counting', 'hands together', 'tempo ladder', 'finish',
    ])->and(stage_names($two, PathKind::SoundFirst))->toBe([
        'listen', 'start, step, skip, repeat', 'sing in solfège', 'letter names', 'fingers in the air', 'echo at the piano',
        'right hand', 'left hand', 'hands together', 'tempo ladder', 'finish',
    ]);
});

test('a stage has its sentence, hand, chunks, pass mark, tempo and time', function (): void {
    // 2 bars a line, 8 beats; 60 % of 100 is a mark of the metronome.
    $stages = broken_down("tempo: 100\nR: @c4 q1 2 h3 | q3 4 h5\nL: @5=c3 w5 | w1\nR: q5 4 h3 | q3 2 h1\nL: w5 | w5\n")['stages'];
    $right = array_values(array_filter($stages, fn (array $stage): bool => $stage['name'] === 'right hand'))[0];
    // 2 chunks × (20 s to find the place + 6 × (8 beats + 4 counted in at 60 = 12 s, + 4 s)) = 232 s; 4 × when it goes on: 168 s.
    expect($right['tempo'])->toBe(60)->and([$right['minutes'], $right['minutes_later']])->toBe([4, 3])->and($right['repetitions'])->toBe(3)
        ->and($right['hand'])->toBe('R')->and($right['petal'])->toBe('hands apart')
        ->and($right['chunks'])->toHaveCount(2)->and($right['do'])->toBe('Play the right hand alone, counting.')
        ->and($right['pass'])->toStartWith('three in a row');
});

test('naming takes three seconds a note, twice on the first day', function (): void {
    // 24 notes: 144 s, so two and a half minutes; then 72 s.
    $stages = broken_down("R: @c4 q1234 | 1234 | 1234 | 1234 | 1234 | 1234\n")['stages'];
    expect(array_column($stages, 'minutes', 'name')['name the notes'])->toBe(2.5)
        ->and(array_column($stages, 'minutes_later', 'name')['name the notes'])->toBe(1.5);
});

test('what waits for what: hands apart side by side, together after both', function (): void {
    $stages = broken_down("R: @c4 w1 | w2\nL: @5=c3 w5 | w1\n")['stages'];
    $waits = array_combine(array_column($stages, 'name'), array_column($stages, 'waits_for'));
    expect($waits['look over'])->toBe([])
        ->and($waits['tap and count'])->toBe([0])
        ->and($waits['name the notes'])->toBe([0])
        ->and($waits['fingers in the air'])->toBe([1, 2])
        ->and($waits['right hand'])->toBe([3])
        ->and($waits['left hand'])->toBe([3])
        ->and($waits['hands together'])->toBe([4, 5]);
});

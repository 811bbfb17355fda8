<?php

declare(strict_types=1);

// What a stage asks, in a sentence that fits its page (trade 8.2).

function sentence_of(string $tune, string $stage): ?string
{
    return array_column(broken_down($tune)['stages'], 'do', 'name')[$stage] ?? null;
}

const TOGETHER = "R: @c4 q1 2 3 4 | w1\nL: @5=c3 w5 | 5\n";
const IN_TURNS = "R: @c4 q1 2 3 4 | /\nL: / | @5=c3 w5\n";
const ONE_HAND = "R: @c4 q1 2 3 4 | w1\n";

test('tapping names the hands that there are', function (string $tune, string $says): void {
    expect(sentence_of($tune, 'tap and count'))->toBe($says);
})->with([
    [TOGETHER, 'Tap each hand on the closed lid or your lap and count aloud, one hand, the other, then both.'],
    [IN_TURNS, 'Tap it on the closed lid or your lap, each hand where it plays, and count aloud.'],
    [ONE_HAND, 'Tap the rhythm on the closed lid or your lap and count aloud.'],
]);

test('a page for one hand does not speak of hands alone', function (): void {
    expect(sentence_of(TOGETHER, 'right hand'))->toBe('Play the right hand alone, counting.')
        ->and(sentence_of(ONE_HAND, 'right hand'))->toBe('Play it, counting.')
        ->and(sentence_of(ONE_HAND, 'left hand'))->toBeNull();
});

test('hands come together a line at a time where there are lines', function (): void {
    expect(sentence_of(TOGETHER, 'hands together'))->toBe('Play both hands together, slowly.')
        ->and(sentence_of(TOGETHER.TOGETHER, 'hands together'))->toBe('Play both hands together, slowly, a line at a time.');
});

test('only marks that are there are named', function (string $tune, ?string $says): void {
    expect(sentence_of($tune, 'articulation, dynamics'))->toBe($says);
})->with([
    ["R: @c4 q1_ 2 3_ 4 | w1\n", 'Play it with its slurs as printed.'],
    ["R: @c4 \"p\" q1_ 2 3_ 4 | w1\n", 'Play it with its slurs and dynamics as printed.'],
    ["R: @c4 \"p\" q1 2 3 4 | w1:tenuto\n", 'Play it with its held notes and dynamics as printed.'],
    [ONE_HAND, null],
]);

test('the names of notes are said, and no tempo is asked where there is none', function (): void {
    foreach (array_column(broken_down(TOGETHER)['stages'], null, 'name') as $stage) {
        expect($stage['tempo'] !== null || ! str_contains($stage['do'], 'in time'))->toBeTrue($stage['name']);
    }
});

<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Shorthand\BadShorthand;
use Nasturtium\Core\Formats\Shorthand\PlayedKeys;
use Nasturtium\Core\Score\Key;
use Nasturtium\Core\Score\Pitch;

test('a key that is struck is typed as it would be by hand', function (string $before, array $keys, string $token): void {
    expect(PlayedKeys::typed($before, $keys))->toBe($token);
})->with([
    'under the hand' => ['R: @c4 ', [64], 'e'],
    'outside the hand, nearest' => ['R: @c4 q1 ', [59], 'b'],
    'an octave up' => ['R: @c4 q1 ', [72], "c'"],
    'far down' => ['R: @c4 q1 ', [36], 'c,,'],
    'the nearest, though another lies under the hand' => ["R: @c4 q1 c' ", [74], "d',"],
    'a black key' => ['R: @c4 ', [66], 'f+'],
    'again in the same bar' => ['R: @c4 q f+ ', [66], 'f'],
    'the natural after it' => ['R: @c4 q f+ ', [65], 'fn'],
    'after the bar line' => ['R: @c4 w f+ ', [66], 'f+'],
    'in its key' => ["key: G\nR: @d4 ", [66], 'f'],
    'against its key' => ["key: G\nR: @d4 ", [65], 'fn'],
    'a flat in a flat key' => ["key: F\nR: @c4 ", [70], "b'"],
    'the left hand' => ["R: @c4 w1\nL: @5=c3 q5 ", [55], 'g'],
    'a chord, lowest first' => ['R: @c4 ', [67, 60, 64, 60], '(c e g)'],
    'after a change of key in the line' => ['R: @c4 w1 [key D] ', [66], 'f'],
    'an octave line' => ['R: @c5 w1 [8va] ', [84], 'c'],
    'in a second voice' => ["R: @c4 w1\nR2: ", [64], 'e'],
]);

test('there is no token where there is no music', function (string $before, array $keys, string $says): void {
    expect(fn () => PlayedKeys::typed($before, $keys))->toThrow(BadShorthand::class, $says);
})->with([
    ["title: Rain\n", [60], 'Put the cursor into a line of music'],
    ['', [60], 'Put the cursor into a line of music'],
    ['R: @c4 ', [12], 'is not on the keyboard'],
]);

test('the name of a key follows the key signature', function (string $key, array $names): void {
    expect(array_map(fn (int $midi): string => Pitch::ofMidi($midi, Key::parse($key))->spelled(), [61, 63, 66, 68, 70]))->toBe($names);
})->with([
    ['C', ['C#', 'Eb', 'F#', 'G#', 'Bb']],
    ['G', ['C#', 'D#', 'F#', 'G#', 'Bb']],
    ['Bb', ['Db', 'Eb', 'F#', 'Ab', 'Bb']],
    ['Eb', ['Db', 'Eb', 'Gb', 'Ab', 'Bb']],
    ['E', ['C#', 'D#', 'F#', 'G#', 'A#']],
]);

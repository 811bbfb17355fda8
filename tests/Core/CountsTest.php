<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Report\Settings;

/*
 * Bars as they are counted: the tune of one bar, then what stands under it.
 */

test('numbers, & through the whole bar', function (string $tune, string $counts): void {
    expect(counted(broken_down($tune), 1))->toBe($counts);
})->with([
    ["R: @c4 w1\n", '1 (2) (3) (4)'],
    ["R: @c4 h1 2\n", '1 (2) 3 (4)'],
    ["R: @c4 h.1 q2\n", '1 (2) (3) 4'],
    ["R: @c4 q1 h2 q3\n", '1 2 (3) 4'],
    ["R: @c4 qr 1 2 3\n", '[1] 2 3 4'],
    ["R: @c4 h1 r\n", '1 (2) [3] [4]'],
    ["R: @c4 q1 r 2 r\n", '1 [2] 3 [4]'],
    ["R: @c4 v1234 h5\n", '1 & 2 & 3 (&) (4) (&)'],
    ["R: @c4 q1 v23 h4\n", '1 (&) 2 & 3 (&) (4) (&)'],
    ["R: @c4 q.1 v2 q.3 v4\n", '1 (&) (2) & 3 (&) (4) &'],
    ["R: @c4 v1 q2 v3 h4\n", '1 & (2) & 3 (&) (4) (&)'],
    ["R: @c4 v1 r q2 h3\n", '1 [&] 2 (&) 3 (&) (4) (&)'],
    ["R: @c4 x1234 q5 h1\n", '1 e & a 2 (&) 3 (&) (4) (&)'],
    ["R: @c4 v.1 x2 q3 h4\n", '1 (e) (&) a 2 (&) 3 (&) (4) (&)'],
    ["time: 3/4\nR: @c4 h.1\n", '1 (2) (3)'],
    ["time: 3/4\nR: @c4 q1 h2\n", '1 2 (3)'],
    ["time: 3/4\nR: @c4 q1 v23 q4\n", '1 (&) 2 & 3 (&)'],
    ["time: 2/4\nR: @c4 q1 v23\n", '1 (&) 2 &'],
    ["time: 2/2\nR: @c4 h1 2\n", '1 2'],
    ["time: 2/2\nR: @c4 q1 2 h3\n", '1 & 2 (&)'],
    ["time: 6/8\nR: @c4 v123 q.4\n", '1 2 3 4 (5) (6)'],
    ["time: 6/8\nR: @c4 q1 v2 q3 v4\n", '1 (2) 3 4 (5) 6'],
    ["time: 3/8\nR: @c4 v1 q2\n", '1 2 (3)'],
    ["time: 5/4\nR: @c4 h.1 h2\n", '1 (2) (3) 4 (5)'],
]);

test('numbers, & only in the beats that divide', function (string $tune, string $counts): void {
    expect(counted(broken_down($tune, new Settings(style: CountStyle::DividedBeats)), 1))->toBe($counts);
})->with([
    ["R: @c4 v1234 h5\n", '1 & 2 & 3 (4)'],
    ["R: @c4 q1 v23 h4\n", '1 2 & 3 (4)'],
    ["R: @c4 q.1 v2 h3\n", '1 (2) & 3 (4)'],
    ["R: @c4 x1234 q5 h1\n", '1 e & a 2 3 (4)'],
]);

test('each note by its own length', function (string $tune, string $counts): void {
    expect(counted(broken_down($tune, new Settings(counting: CountingSystem::Units)), 1))->toBe($counts);
})->with([
    ["R: @c4 w1\n", '1-2-3-4'],
    ["R: @c4 q1 2 h3\n", '1 1 1-2'],
    ["R: @c4 h.1 qr\n", '1-2-3 [1]'],
    ["R: @c4 v12 q3 h4\n", '1 1 1 1-2'],
]);

test('the other hand decides with this one whether & is said', function (): void {
    $report = broken_down("R: @c4 v12 q3 h4 | w1\nL: @5=c3 h5 3 | w5\n");
    expect(counted($report, 1, 'L'))->toBe('1 (&) (2) (&) 3 (&) (4) (&)')
        ->and(counted($report, 2, 'L'))->toBe('1 (2) (3) (4)');
});

test('a bar that is too long is counted to its end', function (): void {
    expect(counted(broken_down("R: @c4 h.1 h2 | w1\n"), 1))->toBe('1 (2) (3) 4 (5)');
});

test('a short pickup is counted where it stands', function (string $tune, string $counts, array $said, string $enter): void {
    $report = broken_down($tune);
    expect(counted($report, 0))->toBe($counts)
        ->and($report['count_in'])->toBe(['counts' => $said, 'enter' => $enter]);
})->with([
    ["R: @c4 q1 | w2 | h.3\n", '4', ['1', '2', '3'], '4'],
    ["R: @c4 h1 | w2 | h3\n", '3 (4)', ['1', '2'], '3'],
    ["R: @c4 v1 | w2 | h.2 v3\n", '&', ['1', '2', '3', '4'], '&'],
    ["R: @c4 v1 q2 | w2 | h3 v2\n", '& 4 (&)', ['1', '2', '3'], '&'],
    ["R: @c4 h.1 | w2 | q3\n", '2 (3) (4)', ['1', '2', '3', '4', '1'], '2'],
    ["time: 3/4\nR: @c4 q1 | h.2 | h3\n", '3', ['1', '2'], '3'],
]);

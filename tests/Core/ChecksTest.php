<?php

declare(strict_types=1);

/** @return list<string> checks as `code place hand` */
function checks_of(string $music): array
{
    return array_map(
        fn (array $check): string => trim("{$check['code']} {$check['place']} {$check['hand']}"),
        broken_down($music)['checks'],
    );
}

test('what does not add up is said with its place', function (string $music, array $checks): void {
    expect(checks_of($music))->toBe($checks);
})->with([
    'nothing wrong' => ["R: @c4 w1 | w2\n", []],
    'too short' => ["R: @c4 w1 | q2 3 | w1\n", ['bar_short 2.3 R']],
    'too long' => ["R: @c4 w1 | h.2 h3 | w1\n", ['bar_long 2.5 R']],
    'pickup and last bar' => ["R: @c4 q1 | w2 | w3\n", ['pickup_last 2.1']],
    'pickup and last bar make one' => ["R: @c4 q1 | w2 | h.3\n", []],
    'a repeat that goes back to the pickup' => ["R: @c4 q1 | w2 | h.3 :| q1 | h.3\n", []],
    'tie to nowhere' => ["R: @c4 w1~ | qr h.2\n", ['tie_broken 1.1 R']],
    'open repeat' => ["R: @c4 w1 |: w2\n", ['repeat_open 2.1']],
    'open ending' => ["R: @c4 w1 [1 w2\n", ['ending_open 2.1']],
]);

test('a repeat may divide a bar in two', function (): void {
    expect(checks_of("R: @c4 w1 | h.2 :| q1 | w1\n"))->toBe([]);
});

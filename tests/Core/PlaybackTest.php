<?php

declare(strict_types=1);

use Nasturtium\Core\Performance\Playback;

/** @return list<string> `id at+beats keys` */
function heard(Playback $playback): array
{
    return array_map(
        fn (array $sound): string => "{$sound['id']} {$sound['at']}+{$sound['beats']} ".implode('/', $sound['keys']),
        $playback->sounds,
    );
}

test('what sounds when, hand by hand in each bar', function (): void {
    $playback = Playback::whole(tune("R: @c4 q1 r h(13) | w5\nL: @5=c3 w5 | h1 r\n"));
    expect(heard($playback))->toBe([
        'R1-1 0+1 60',
        'R1-3 2+2 60/64',
        'L1-1 0+4 48',
        'R2-1 4+4 67',
        'L2-1 4+2 55',
    ])
        ->and((string) $playback->beats)->toBe('8')
        ->and($playback->accent)->toBe(4);
});

test('a tie sounds once, as long as it is held', function (): void {
    expect(heard(Playback::whole(tune("time: 3/4\nR: @c4 h.1~ | h.1~ | q1 2 r\n"))))->toBe([
        'R1-1 0+7 60',
        'R3-2 7+1 62',
    ]);
});

test('repeats are followed in the whole, not in a range', function (): void {
    $piece = tune("R: @c4 w1 | w2 :|\n");
    expect(heard(Playback::whole($piece)))->toBe([
        'R1-1 0+4 60',
        'R2-1 4+4 62',
        'R1-1 8+4 60',
        'R2-1 12+4 62',
    ])
        ->and(heard(Playback::range($piece, 1, 1)))->toBe(['R2-1 0+4 62'])
        ->and(array_column(Playback::whole($piece)->bars, 'measure'))->toBe([1, 2, 1, 2]);
});

test('a pickup enters where it is counted, a later range on one', function (): void {
    $piece = tune("R: @c4 q5 | w1 | h.1\n");
    expect((string) Playback::whole($piece)->enters)->toBe('3')
        ->and(Playback::whole($piece)->countIn->counts)->toBe(['1', '2', '3'])
        ->and((string) Playback::range($piece, 1, 2)->enters)->toBe('0')
        ->and(Playback::range($piece, 1, 2)->countIn->counts)->toBe(['1', '2', '3', '4']);
});

test('a tie that begins before the range sounds from the start of it', function (): void {
    expect(heard(Playback::range(tune("R: @c4 w1~ | h1 2\n"), 1, 1)))->toBe([
        'R2-1 0+2 60',
        'R2-2 2+2 62',
    ]);
});

test('in 6/8 a beat is an eighth', function (): void {
    expect(heard(Playback::whole(tune("time: 6/8\nR: @c4 q.1 q1 v2\n"))))->toBe([
        'R1-1 0+3 60',
        'R1-2 3+2 60',
        'R1-3 5+1 62',
    ]);
});

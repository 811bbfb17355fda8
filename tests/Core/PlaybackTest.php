<?php

declare(strict_types=1);

use Nasturtium\Core\Performance\Click;
use Nasturtium\Core\Performance\Playback;
use Nasturtium\Core\Performance\Sound;

/** @return list<string> `id at+beats keys` */
function heard(Playback $playback): array
{
    return array_map(
        fn (Sound $sound): string => "{$sound->id} {$sound->at}+{$sound->beats} ".implode('/', $sound->keys),
        $playback->sounds,
    );
}

/** The metronome's beats, with ! at the accents. */
function clicked(Playback $playback): string
{
    return implode(' ', array_map(fn (Click $click): string => $click->at.($click->accent ? '!' : ''), $playback->clicks));
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
        ->and(clicked($playback))->toBe('0! 1 2 3 4! 5 6 7');
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
    expect(clicked(Playback::whole($piece)))->toBe('0 1! 2 3 4 5! 6 7')
        ->and(Playback::whole($piece)->countIn->counts)->toBe(['1', '2', '3'])
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

test('an entry between two beats comes part of a beat after the last count', function (): void {
    $playback = Playback::whole(tune("R: @c4 v5 | w1 | h.1 v1\n"));
    expect($playback->countIn->counts)->toBe(['1', '2', '3', '4'])
        ->and((string) $playback->countGap)->toBe('1/2')
        ->and(clicked($playback))->toBe('1/2! 3/2 5/2 7/2 9/2! 11/2 13/2 15/2');
});

test('a beat keeps its length where the time signature changes', function (): void {
    $playback = Playback::whole(tune("R: @c4 h1 2 [time 6/8] q.3 4 [time 2/4] h5\n"));
    expect(heard($playback))->toBe(['R1-1 0+2 60', 'R1-2 2+2 62', 'R2-1 4+3/2 64', 'R2-2 11/2+3/2 65', 'R3-1 7+2 67'])
        ->and(clicked($playback))->toBe('0! 1 2 3 4! 9/2 5 11/2 6 13/2 7! 8');
});

test('of a chord, only the tied key sounds on', function (): void {
    $sounds = Playback::whole(tune("R: @c4 w(1~3) | h(13) r\n"))->sounds;
    expect(heard(Playback::whole(tune("R: @c4 w(1~3) | h(13) r\n"))))->toBe(['R1-1 0+4 60/64', 'R2-1 4+2 64'])
        ->and((string) $sounds[0]->held(60))->toBe('6')
        ->and((string) $sounds[0]->held(64))->toBe('4');
});

test('a second voice sounds beside the first', function (): void {
    expect(heard(Playback::whole(tune("R: @c4 w5 | w5\nR2: h1 2 | /\n"))))->toBe(['R1-1 0+4 67', 'R1v2-1 0+2 60', 'R1v2-2 2+2 62', 'R2-1 4+4 67']);
});

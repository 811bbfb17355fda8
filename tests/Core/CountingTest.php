<?php

declare(strict_types=1);

use Nasturtium\Core\Counting\CountIn;
use Nasturtium\Core\Counting\CountingSystem;
use Nasturtium\Core\Counting\CountStyle;
use Nasturtium\Core\Counting\CountWay;
use Nasturtium\Core\Report\Settings;
use Nasturtium\Core\Score\Fraction;
use Nasturtium\Core\Score\Meter;

test('quarters, a held half and rests are counted', function (): void {
    $report = broken_down("R: @c4 q1 2 h3 | w1 | q1 r h5\nL: / | @5=c3 h. 5 q1 | /\n");
    expect(counted($report, 1))->toBe('1 2 3 (4)')
        ->and(counted($report, 1, 'L'))->toBe('[1] [2] [3] [4]')
        ->and(counted($report, 2))->toBe('1 (2) (3) (4)')
        ->and(counted($report, 2, 'L'))->toBe('1 (2) (3) 4')
        ->and(counted($report, 3))->toBe('1 [2] 3 (4)');
});

test('an eighth brings the & to the whole bar, in both hands', function (): void {
    $report = broken_down("R: @c4 v12 q3 h5\nL: @5=c3 w5\n");
    expect(counted($report, 1))->toBe('1 & 2 (&) 3 (&) (4) (&)')
        ->and(counted($report, 1, 'L'))->toBe('1 (&) (2) (&) (3) (&) (4) (&)');
});

test('the other style says & only in the beats that divide', function (): void {
    $report = broken_down("R: @c4 v12 q3 h5\n", new Settings(counting: new CountWay(style: CountStyle::DividedBeats)));
    expect(counted($report, 1))->toBe('1 & 2 3 (4)');
});

test('a dotted quarter is held over its &, a sixteenth has e and a', function (): void {
    $report = broken_down("time: 3/4\nR: @c4 q.1 v2 q3 | x1234 q5 v3r\n");
    expect(counted($report, 1))->toBe('1 (&) (2) & 3 (&)')
        ->and(counted($report, 2))->toBe('1 e & a 2 (&) 3 [&]');
});

test('ties hold across the bar', function (): void {
    $report = broken_down("R: @c4 h1 3~ | h3 1\n");
    expect(counted($report, 2))->toBe('(1) (2) 3 (4)');
});

test('6/8 has six counts', function (): void {
    expect(counted(broken_down("time: 6/8\nR: @c4 q1 v2 q.3\n"), 1))->toBe('1 (2) 3 4 (5) (6)');
});

test('unit counts give each note its own length', function (): void {
    expect(counted(broken_down("R: @c4 q1 h.3 | h1 r\n", new Settings(counting: new CountWay(CountingSystem::Units))), 1))->toBe('1 1-2-3')
        ->and(counted(broken_down("R: @c4 h1~ q1 r\n", new Settings(counting: new CountWay(CountingSystem::Units))), 1))->toBe('1-2 (1) [1]');
});

test('a pickup is counted at the end of the bar it completes', function (): void {
    $report = broken_down("R: @c4 q5 | 3 3 h1 | q2 2 1 :|\n");
    expect($report['piece']['pickup'])->toBe('1')
        ->and(counted($report, 0))->toBe('4')
        ->and(each_event($report, 'place')[0])->toBe('0.4')
        ->and($report['count_in'])->toBe(['counts' => ['1', '2', '3'], 'enter' => '4'])
        ->and($report['checks'])->toBe([])
        ->and($report['beats'])->toBe(['written' => '8', 'played' => '16']);
});

test('the count-in is a bar less the pickup, and never under two counts', function (string $meter, array $pickup, array $counts, string $enter): void {
    $countIn = CountIn::for(Meter::parse($meter), Fraction::of(...$pickup));
    expect($countIn->counts)->toBe($counts)->and($countIn->enter)->toBe($enter);
})->with([
    ['4/4', [0], ['1', '2', '3', '4'], '1'],
    ['4/4', [1, 4], ['1', '2', '3'], '4'],
    ['4/4', [1, 2], ['1', '2'], '3'],
    ['4/4', [3, 4], ['1', '2', '3', '4', '1'], '2'],
    ['4/4', [1, 8], ['1', '2', '3', '4'], '&'],
    ['3/4', [1, 4], ['1', '2'], '3'],
    ['3/4', [1, 2], ['1', '2', '3', '1'], '2'],
    ['2/4', [1, 4], ['1', '2', '1'], '2'],
    ['6/8', [1, 8], ['1', '2', '3', '4', '5'], '6'],
]);

test('the play order follows repeats and endings', function (string $music, array $order): void {
    expect(broken_down($music)['play_order'])->toBe($order);
})->with([
    'nothing repeated' => ["R: @c4 w1 | w2\n", [1, 2]],
    'from the start' => ["R: @c4 w1 | w2 :| w3\n", [1, 2, 1, 2, 3]],
    'from a sign' => ["R: @c4 w1 |: w2 | w3 :| w4\n", [1, 2, 3, 2, 3, 4]],
    'two endings' => ["R: @c4 w1 | w2 [1 w3 :| [2 w4 | w5\n", [1, 2, 3, 1, 2, 4, 5]],
    'two sections' => ["R: @c4 w1 :| |: w2 :|\n", [1, 1, 2, 2]],
]);

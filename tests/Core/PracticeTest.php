<?php

declare(strict_types=1);

use Nasturtium\Core\Practice\InvalidLadder;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Practice\TempoLadder;

test('the metronome has its classic marks', function (): void {
    expect(TempoLadder::marks())->toBe([
        40, 42, 44, 46, 48, 50, 52, 54, 56, 58, 60, 63, 66, 69, 72, 76, 80, 84, 88, 92, 96, 100, 104, 108, 112, 116, 120,
        126, 132, 138, 144, 152, 160, 168, 176, 184, 192, 200, 208,
    ]);
});

test('no start given: sixty per cent of the goal, on the mark below', function (string $music, int $from, int $goal): void {
    $ladder = TempoLadder::for(tune($music));
    expect([$ladder->from, $ladder->goal])->toBe([$from, $goal]);
})->with([
    ["tempo: 100\nR: @c4 w1\n", 60, 100],
    ["tempo: 96\nR: @c4 w1\n", 56, 96],
    // 60 % of 60 is 36, slower than a metronome goes: half beats are on 72.
    ["tempo: 60\nR: @c4 w1\n", 36, 60],
    // 60 % of 66 is 39; of half beats 78 lies between 76 and 80.
    ["tempo: 66\nR: @c4 w1\n", 38, 66],
    'just a mark' => ["tempo: 67\nR: @c4 w1\n", 40, 67],
    ["tempo: 66-92\nR: @c4 w1\n", 66, 92],
    'in eighths' => ["time: 6/8\ntempo: 60\nR: @c4 q.1 q.2\n", 72, 120],
]);

test('rungs run from the start to the goal', function (): void {
    expect((new TempoLadder(56, 70))->rungs())->toBe([56, 58, 60, 63, 66, 69, 70])
        ->and(TempoLadder::downFrom(60))->toBe(58)
        ->and(TempoLadder::downFrom(40))->toBe(38)
        // The slowest half beats go at 40.
        ->and([TempoLadder::downFrom(21), TempoLadder::downFrom(20)])->toBe([20, 20]);
});

test('a ladder climbs by its own step, up after a pass, down after two failures', function (): void {
    $own = new TempoLadder(50, 75, 10);
    $classic = new TempoLadder(56, 70);
    expect($own->rungs())->toBe([50, 60, 70, 75])
        ->and([$own->next(60, true), $own->next(75, true), $own->next(60, false, 1), $own->next(60, false, 2)])->toBe([70, 75, 60, 50])
        ->and([$classic->next(60, true), $classic->next(69, true), $classic->next(63, false, 2), $classic->next(57, true)])->toBe([63, 70, 60, 58])
        // Down to the rung below, also where the goal or the start is none of the metronome's.
        ->and([$own->next(75, false, 2), (new TempoLadder(51, 70))->next(52, false, 2), $own->next(50, false, 2)])->toBe([70, 51, 40])
        ->and([$classic->climbed(60), $classic->climbed(70)])->toBe([[60, 63], [70, 70]])
        ->and(fn () => new TempoLadder(50, 60, 0))->toThrow(InvalidLadder::class);
});

test('below the start lie the marks of the metronome', function (): void {
    $marks = (new TempoLadder(46, 70, 10))->marksToGoal();
    expect(array_slice($marks, -8))->toBe([38, 40, 42, 44, 46, 56, 66, 70])
        // Half beats on 40, 42, …
        ->and(array_slice($marks, 0, 3))->toBe([20, 21, 22]);
});

test('a jump is counted in rungs', function (): void {
    $ladder = new TempoLadder(56, 120);
    // 60, 63, 66, 69, 72.
    expect([$ladder->rungsUp(60, 66), $ladder->rungsUp(60, 72), $ladder->rungsUp(60, 61), $ladder->rungsUp(60, 50)])->toBe([2, 4, 1, 0])
        ->and((new TempoLadder(50, 90, 10))->rungsUp(60, 90))->toBe(3);
});

test('each slip has its remedy and tempo', function (): void {
    expect(Slip::BeatLost->tempo(60))->toBe(58)
        ->and(Slip::LineTurnStall->tempo(60))->toBe(48)
        ->and(Slip::WrongNote->tempo(60))->toBe(60)
        ->and(Slip::CutShort->remedy())->toBe('Tap these bars and count aloud.')
        ->and(Slip::cases())->toHaveCount(11);
});

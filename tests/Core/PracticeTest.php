<?php

declare(strict_types=1);

use Nasturtium\Core\Practice\PlanDay;
use Nasturtium\Core\Practice\PlanTask;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\TaskTime;
use Nasturtium\Core\Practice\TempoLadder;
use Nasturtium\Core\Practice\WeekPlanner;
use Nasturtium\Core\Score\Fraction;

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
    ["tempo: 60\nR: @c4 w1\n", 40, 60],
    ["tempo: 66-92\nR: @c4 w1\n", 66, 92],
    'in eighths' => ["time: 6/8\ntempo: 60\nR: @c4 q.1 q.2\n", 72, 120],
]);

test('rungs run from the start to the goal', function (): void {
    expect((new TempoLadder(56, 70))->rungs())->toBe([56, 58, 60, 63, 66, 69, 70])
        ->and(TempoLadder::downFrom(60))->toBe(58)
        ->and(TempoLadder::downFrom(40))->toBe(40);
});

test('a task takes its repetitions of beats, count-in and reset, and at least a minute', function (): void {
    // 3 × ((16 + 4) × 60 / 60 + 4) = 72 s.
    expect(TaskTime::playing(3, [[Fraction::of(16), 4]], 60))->toBe(3)
        // 1 × ((4 + 4) × 60 / 80 + 4) = 10 s.
        ->and(TaskTime::playing(1, [[Fraction::of(4), 4]], 80))->toBe(TaskTime::LEAST)
        ->and(TaskTime::naming(31))->toBe(4);
});

test('each slip has its remedy and tempo', function (): void {
    expect(Slip::BeatLost->tempo(60))->toBe(58)
        ->and(Slip::LineTurnStall->tempo(60))->toBe(48)
        ->and(Slip::WrongNote->tempo(60))->toBe(60)
        ->and(Slip::CutShort->remedy())->toBe('Tap these bars and count aloud.')
        ->and(Slip::cases())->toHaveCount(11);
});

/** @return list<PlanDay> */
function days(int ...$minutes): array
{
    return array_map(fn (int $i, int $of): PlanDay => new PlanDay(sprintf('2031-05-%02d', $i + 5), $of * 2), array_keys($minutes), $minutes);
}

function task(string $id, TaskKind $kind, int $minutes, array $waits = [], bool $new = false, bool $starred = false, int $idle = 0): PlanTask
{
    return new PlanTask($id, $kind, $minutes * 2, $waits, $new, $starred, $idle);
}

test('a day is never overfull and a task stands once a day', function (): void {
    $tasks = [task('w', TaskKind::WarmUp, 2), task('a', TaskKind::Stage, 4), task('b', TaskKind::Stage, 5), task('r', TaskKind::Review, 3)];
    $plan = WeekPlanner::propose(days(10, 8, 10), $tasks, 3);
    $dates = [];
    foreach ($plan->days as $date => $ids) {
        expect(array_unique($ids))->toBe($ids);
        foreach ($ids as $id) {
            $dates[$id][] = $date;
        }
    }
    expect(WeekPlanner::broken(days(10, 8, 10), $tasks, $dates, 3))->toBe([])->and($plan->left)->toBe([]);
});

test('a stage waits for an earlier day of what it needs', function (): void {
    $plan = WeekPlanner::propose(days(20, 20, 20), [
        task('together', TaskKind::Stage, 3, ['right', 'left']),
        task('right', TaskKind::Stage, 3),
        task('left', TaskKind::Stage, 3),
    ], 3);
    expect($plan->days['2031-05-05'])->toBe(['right', 'left'])
        ->and($plan->days['2031-05-06'])->toContain('together');
});

test('work is met on two days before review takes the time', function (): void {
    $plan = WeekPlanner::propose(days(6, 6), [task('r', TaskKind::Review, 4), task('a', TaskKind::Stage, 4)], 3);
    expect($plan->days)->toBe(['2031-05-05' => ['a'], '2031-05-06' => ['a']])
        ->and($plan->left)->toBe(['r' => 'no day has room; 2 min short']);
});

test('within a day: warm-up, new work, continuing work, review, theory', function (): void {
    $plan = WeekPlanner::propose(days(30), [
        task('theory', TaskKind::Theory, 3), task('review', TaskKind::Review, 3), task('old', TaskKind::Stage, 3),
        task('new', TaskKind::Stage, 3, new: true), task('warm', TaskKind::WarmUp, 2),
    ], 3);
    expect($plan->days['2031-05-05'])->toBe(['warm', 'new', 'old', 'review', 'theory']);
});

test('new things a day are few for the young', function (): void {
    expect([WeekPlanner::mostNewAt(6), WeekPlanner::mostNewAt(7), WeekPlanner::mostNewAt(10), WeekPlanner::mostNewAt(11)])->toBe([1, 2, 2, 3]);
    $new = [task('a', TaskKind::Stage, 2, new: true), task('b', TaskKind::Stage, 2, new: true), task('c', TaskKind::Stage, 2, new: true)];
    $plan = WeekPlanner::propose(days(20, 20), $new, 1);
    expect($plan->days['2031-05-05'])->toBe(['a'])
        ->and($plan->days['2031-05-06'])->toBe(['b', 'a'])
        ->and($plan->left)->toBe(['c' => 'enough new things on every day that is left']);
});

test('the longest rested review comes first, a star doubles the value', function (): void {
    $plan = WeekPlanner::propose(days(4), [task('fresh', TaskKind::Review, 3, idle: 3), task('rested', TaskKind::Review, 3, idle: 20)], 3);
    expect($plan->days['2031-05-05'])->toBe(['rested']);
    $plan = WeekPlanner::propose(days(4), [task('stage', TaskKind::Drill, 3), task('star', TaskKind::Review, 3, starred: true)], 3);
    expect($plan->days['2031-05-05'])->toBe(['star']);
});

test('a change that breaks a rule is said with its day and reason', function (): void {
    $tasks = [task('a', TaskKind::Stage, 6, new: true), task('b', TaskKind::Stage, 6, ['a'], new: true)];
    $broken = WeekPlanner::broken(days(10, 10), $tasks, ['a' => ['2031-05-06'], 'b' => ['2031-05-06', '2031-05-06']], 1);
    expect(array_column($broken, 'text'))->toBe([
        'The day has 10 min and would need 2 more. Move or shorten something first.',
        'That is 2 new things on one day; 1 is enough at this age.',
        'A task stands once a day; it is there already.',
        'It waits for another stage, whose first day comes earlier.',
    ]);
});

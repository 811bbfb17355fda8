<?php

declare(strict_types=1);

use App\Demo\InventedWeeks;
use Nasturtium\Core\Formats\BadInput;
use Nasturtium\Core\Formats\WeekFile;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\RuleCheck;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\Planning\WeekPlanner;
use Nasturtium\Core\Practice\TaskKind;

/*
 * The weekly plan (trade 11.2). The first day of these weeks is Monday, 5 May; the lesson after them is on Thursday.
 */

/** @return list<PlanDay> */
function days(int ...$minutes): array
{
    return array_map(fn (int $i, int $of): PlanDay => new PlanDay(sprintf('2031-05-%02d', $i + 5), $of * 2), array_keys($minutes), $minutes);
}

function task(string $id, TaskKind $kind, float $minutes, array $waits = [], bool $new = false, bool $starred = false, int $idle = 0, array $locked = [], array $off = [], int $practised = 0, array $stood = []): PlanTask
{
    return new PlanTask($id, $kind, (int) ($minutes * 2), $waits, $new, $starred, $idle, locked: $locked, off: $off, practised: $practised, stood: $stood);
}

/** @param list<PlanTask> $tasks */
function week_of(array $days, array $tasks, int $mostNew = 3): Week
{
    return new Week($days, $tasks, $mostNew, '2031-05-08');
}

const MON = '2031-05-05';
const TUE = '2031-05-06';
const WED = '2031-05-07';

test('a day is never overfull and a task stands once a day', function (): void {
    $week = week_of(days(10, 8, 10), [task('w', TaskKind::WarmUp, 2), task('a', TaskKind::Stage, 4), task('b', TaskKind::Stage, 5), task('r', TaskKind::Review, 3)]);
    $plan = WeekPlanner::propose($week);
    foreach ($plan->days as $ids) {
        expect(array_unique($ids))->toBe($ids);
    }
    expect(RuleCheck::broken($week, $plan->dates()))->toBe([])->and($plan->left)->toBe([]);
});

test('a stage waits for an earlier day of what it needs', function (): void {
    $plan = WeekPlanner::propose(week_of(days(20, 20, 20), [
        task('together', TaskKind::Stage, 3, ['right', 'left']),
        task('right', TaskKind::Stage, 3),
        task('left', TaskKind::Stage, 3),
    ]));
    expect($plan->days[MON])->toBe(['right', 'left'])->and($plan->days[TUE])->toContain('together')
        // (6 + 3) for together on two days, (6 + 3 + 1 1/2) for each hand on three.
        ->and($plan->quarters)->toBe(4 * 30);
});

test('new work is met on two days, though a review would be worth as much', function (): void {
    $plan = WeekPlanner::propose(week_of(days(6, 6), [task('r', TaskKind::Review, 4), task('a', TaskKind::Stage, 4, new: true)]));
    expect($plan->days)->toBe([MON => ['a'], TUE => ['a']])
        ->and($plan->left)->toBe(['r' => 'no room before Thursday; 2 min short']);
});

test('new work that could be met only once is left, and says so; on a single day it is met', function (): void {
    $tasks = [task('long', TaskKind::Review, 6, starred: true, locked: [TUE]), task('new', TaskKind::Stage, 5, new: true)];
    expect(WeekPlanner::propose(week_of(days(8, 8), $tasks))->left)->toBe(['new' => 'no room on two days before Thursday; 3 min short'])
        ->and(WeekPlanner::propose(week_of(days(8), [task('new', TaskKind::Stage, 5, new: true)]))->days)->toBe([MON => ['new']]);
});

test('within a day: warm-up, new work, continuing work, review, theory', function (): void {
    $plan = WeekPlanner::propose(week_of(days(30), [
        task('theory', TaskKind::Theory, 3), task('review', TaskKind::Review, 3), task('old', TaskKind::Stage, 3),
        task('new', TaskKind::Stage, 3, new: true), task('warm', TaskKind::WarmUp, 2),
    ]));
    expect($plan->days[MON])->toBe(['warm', 'new', 'old', 'review', 'theory']);
});

test('new things a day are few for the young', function (): void {
    expect([WeekPlanner::mostNewAt(6), WeekPlanner::mostNewAt(7), WeekPlanner::mostNewAt(10), WeekPlanner::mostNewAt(11)])->toBe([1, 2, 2, 3]);
    $new = [task('a', TaskKind::Stage, 2, new: true), task('b', TaskKind::Stage, 2, new: true), task('c', TaskKind::Stage, 2, new: true)];
    $plan = WeekPlanner::propose(week_of(days(20, 20, 20), $new, 1));
    expect(array_map(count(...), $plan->days))->toBe([MON => 1, TUE => 2, WED => 2])
        ->and(array_values($plan->left))->toBe(['No day left for more new work']);
});

test('a star doubles the value; of reviews the longest rested gets the day', function (): void {
    $plan = WeekPlanner::propose(week_of(days(4), [task('drill', TaskKind::Drill, 3), task('star', TaskKind::Review, 3, starred: true)]));
    expect($plan->days[MON])->toBe(['star']);
    $plan = WeekPlanner::propose(week_of(days(4), [task('fresh', TaskKind::Review, 3, idle: 3), task('rested', TaskKind::Review, 3.5, idle: 20)]));
    expect($plan->days[MON])->toBe(['rested']);
});

test('a task counts on three days, a warm-up still opens the others', function (): void {
    $plan = WeekPlanner::propose(week_of(days(9, 9, 9, 9, 9), [task('w', TaskKind::WarmUp, 2), task('r', TaskKind::Remedy, 3)]));
    expect(count($plan->dates()['r']))->toBe(3)->and(count($plan->dates()['w']))->toBe(5)
        // 8 + 4 + 2, and 2 + 1 + 1/2.
        ->and($plan->quarters)->toBe(4 * 14 + 14);
});

test('days are of like length and the days of a task lie apart', function (): void {
    $plan = WeekPlanner::propose(week_of(days(20, 20, 20, 20, 20), [task('a', TaskKind::Drill, 5), task('b', TaskKind::Review, 5)]));
    expect($plan->dates()['a'])->toBe([MON, WED, '2031-05-09']);
});

test('what is locked stands, what is taken off a day does not come back there, the rest gives way', function (): void {
    $tasks = [
        task('a', TaskKind::Stage, 6, off: [MON]),
        task('b', TaskKind::Stage, 6, ['a'], locked: [WED]),
        task('t', TaskKind::Theory, 8, locked: [MON]),
    ];
    expect(WeekPlanner::propose(week_of(days(10, 10, 10), $tasks))->days)->toBe([MON => ['t'], TUE => ['a'], WED => ['b']]);
});

test('a change moves as little as it can', function (): void {
    $tasks = fn (array $locked): array => [
        task('a', TaskKind::Drill, 5, stood: [MON]), task('b', TaskKind::Drill, 5, stood: [TUE]), task('c', TaskKind::Drill, 5, stood: [WED], locked: $locked),
    ];
    expect(WeekPlanner::propose(week_of(days(5, 5, 5), $tasks([])))->dates())->toBe(['a' => [MON], 'b' => [TUE], 'c' => [WED]])
        ->and(WeekPlanner::propose(week_of(days(5, 5, 5), $tasks([MON])))->dates())->toBe(['c' => [MON], 'b' => [TUE], 'a' => [WED]]);
});

test('after missed days what was done counts on, and nothing waits for it any more', function (): void {
    // Of the right hand one day is done: its next day is its second, worth 3; the left hand's first is worth 6.
    $tasks = [task('right', TaskKind::Stage, 5, practised: 1), task('left', TaskKind::Stage, 5), task('both', TaskKind::Stage, 5, ['right'])];
    $plan = WeekPlanner::propose(week_of(days(10), $tasks));
    expect($plan->days)->toBe([MON => ['left', 'both']])
        // What was practised is not "left": it had its day.
        ->and($plan->left)->toBe([])
        ->and($plan->quarters)->toBe(4 * 12);
    expect(WeekPlanner::propose(week_of([], $tasks))->left)->toBe(array_fill_keys(['left', 'both'], 'No day left with time for it'));
});

test('what found no room says how much is missing, and where it waits in vain', function (): void {
    $plan = WeekPlanner::propose(week_of(days(10, 6), [
        task('long', TaskKind::Review, 14), task('after', TaskKind::Stage, 2, ['long']), task('late', TaskKind::Theory, 3, ['last']), task('last', TaskKind::Remedy, 3, off: [MON]),
    ]));
    expect($plan->left)->toBe([
        'long' => 'no room before Thursday; 4 min short',
        'after' => 'An earlier step isn’t scheduled yet',
        'late' => 'No day left after the earlier step',
    ]);
});

test('a change that breaks a rule is said with its day and reason', function (): void {
    $tasks = [task('a', TaskKind::Stage, 6, new: true), task('b', TaskKind::Stage, 6, ['a'], new: true)];
    $broken = RuleCheck::broken(week_of(days(10, 10), $tasks, 1), ['a' => [TUE], 'b' => [TUE, TUE]]);
    expect(array_column($broken, 'text'))->toBe([
        'The day has 10 min and would need 2 more. Move or shorten something first.',
        'That is 2 new things on one day; 1 is enough at this age.',
        'A task stands once a day; it is there already.',
        'It waits for another stage, whose first day comes earlier.',
        'New work is met on two days of the week.',
    ]);
});

test('the plans of sixty tangled weeks reach 99 % of the best there are', function (): void {
    $ratios = [];
    foreach (json_decode((string) file_get_contents(__DIR__.'/../Datasets/best-sums.json'), true) as $seed => $best) {
        $week = InventedWeeks::make($seed);
        $plan = WeekPlanner::propose($week);
        expect($plan->quarters)->toBeLessThanOrEqual($best)->and(RuleCheck::broken($week, $plan->dates()))->toBe([]);
        $ratios[] = $plan->quarters / $best;
    }
    expect(count($ratios))->toBe(60)
        ->and(array_sum($ratios) / 60)->toBeGreaterThan(0.995)
        ->and(min($ratios))->toBeGreaterThan(0.96);
});

test('a week is written and read again, and its plan printed', function (): void {
    $week = InventedWeeks::make(7);
    expect(WeekFile::read(WeekFile::writeWeek($week)))->toEqual($week);
    $small = '{"days": [{"date": "2031-05-06", "minutes": 9.9}, {"date": "2031-05-05", "minutes": 10}], "tasks": [{"id": 1, "value": 7, "minutes": 4.2}, {"id": "r", "kind": "review", "minutes": 20, "starred": true}]}';
    $week = WeekFile::read($small);
    expect(json_decode(WeekFile::writePlan($week, WeekPlanner::propose($week)), true))->toBe([
        'sum' => 10.5,
        'days' => [['date' => MON, 'minutes' => 10, 'used' => 4.5, 'tasks' => ['1']], ['date' => TUE, 'minutes' => 9.5, 'used' => 4.5, 'tasks' => ['1']]],
        'tasks' => [['id' => '1', 'dates' => [MON, TUE], 'sum' => 10.5], ['id' => 'r', 'dates' => [], 'sum' => 0]],
        'left' => [['id' => 'r', 'reason' => 'no room before the next lesson; 14.5 min short']],
        'broken' => [],
    ]);
});

test('a week that cannot be read says where', function (string $json, string $says): void {
    expect(fn () => WeekFile::read($json))->toThrow(BadInput::class, $says);
})->with([
    ['{', 'This is not JSON'],
    ['3', 'A week is an object with days and tasks.'],
    ['{"days": []}', "'tasks' is missing"],
    ['{"days": [{"date": "6 May", "minutes": 5}], "tasks": []}', 'days[0].date is a date, as 2031-05-06.'],
    ['{"days": [{"date": "2031-05-06", "minutes": "5"}], "tasks": []}', 'days[0].minutes is a number'],
    ['{"days": [{"date": "2031-05-06", "minutes": 5}, {"date": "2031-05-06", "minutes": 5}], "tasks": []}', "'days' has the date '2031-05-06' 2 times."],
    ['{"days": [], "tasks": [{"id": "a", "minutes": 3}]}', 'tasks[0] has neither a kind nor a value'],
    ['{"days": [], "tasks": [{"id": "a", "kind": "game", "minutes": 3}]}', 'tasks[0].kind is one of warm-up'],
    ['{"days": [], "tasks": [{"kind": "drill", "minutes": 3}]}', 'tasks[0].id is a name or a number.'],
    ['{"days": [], "tasks": [{"id": "a", "kind": "drill", "minutes": 3, "idleDays": -1}]}', 'tasks[0].idleDays is a whole number'],
    ['{"days": [], "tasks": [{"id": "a", "kind": "drill", "minutes": 3, "waitsFor": ["b"]}]}', "'a' waits for 'b', which is not in the week."],
    ['{"days": [], "tasks": [{"id": "a", "kind": "drill", "minutes": 3, "locked": ["2031-05-06"]}]}', "'a' is locked to 2031-05-06"],
]);

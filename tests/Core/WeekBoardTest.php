<?php

declare(strict_types=1);

use App\Demo\InventedWeeks;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\WeekBoard;
use Nasturtium\Core\Practice\Planning\WeekSearch;
use Nasturtium\Core\Practice\Planning\WeekSpread;
use Nasturtium\Core\Practice\TaskKind;
use Random\Engine\Mt19937;
use Random\Randomizer;

/*
 * The board that the planner works on: days are bits, the first the lowest.
 */

/** @return list<PlanDay> days of so many half minutes */
function halves(int ...$half): array
{
    return array_map(fn (int $at, int $of): PlanDay => new PlanDay(sprintf('2031-05-%02d', $at + 5), $of), array_keys($half), $half);
}

function stage(string $id, int $half, array $waits = [], bool $new = false, array $more = []): PlanTask
{
    return new PlanTask($id, TaskKind::Stage, $half, $waits, $new, ...$more);
}

test('bits are counted, and the day of each is found', function (): void {
    expect(array_map(WeekBoard::count(...), [0, 1, 0b1011, 0b1000000]))->toBe([0, 1, 3, 1])
        ->and([WeekBoard::dayAt(0b1011, 0), WeekBoard::dayAt(0b1011, 1), WeekBoard::dayAt(0b1011, 2), WeekBoard::dayAt(0b1000, 0)])->toBe([0, 1, 3, 3]);
});

test('a task is free where there is room, after what it waits for, and where not too much is new', function (): void {
    $board = new WeekBoard(halves(10, 4, 10), [stage('a', 6), stage('b', 4, ['a']), stage('c', 4, new: true), stage('d', 4, new: true)], 1);
    expect($board->free(0))->toBe(0b101)->and($board->free(1))->toBe(0)->and($board->waitsInVain(1))->toBeTrue();
    $board->put(0, 0);
    expect($board->free(1))->toBe(0b110)->and($board->room)->toBe([4, 4, 10])->and($board->allowed(1))->toBe(0b110);
    $board->put(2, 0);
    // The first day has its one new thing and no room; d may be met on the others.
    expect($board->free(3))->toBe(0b110);
    $board->put(2, 1);
    expect($board->free(3))->toBe(0b100);
});

test('what waits goes with what it waits for; a later day of that is enough', function (): void {
    $board = new WeekBoard(halves(9, 9, 9), [stage('a', 3), stage('b', 3, ['a']), stage('c', 3, ['b'])], 3);
    foreach ([[0, 0], [0, 1], [1, 1], [1, 2], [2, 2]] as [$task, $day]) {
        $board->put($task, $day);
    }
    // Without its first day, a is met on the second: b has to come after it, and c after b.
    $board->takeOff(0, 0);
    expect($board->on)->toBe([0b010, 0, 0])->and($board->room)->toBe([9, 6, 9]);
});

test('new work stands on two days or on none; one that is met alone goes whole', function (): void {
    $board = new WeekBoard(halves(9, 9, 2), [stage('new', 3, new: true), stage('short', 2, new: true, more: ['mostDays' => 1])], 2);
    expect($board->twice)->toBe([true, false]);
    $board->put(0, 0);
    $board->put(0, 1);
    $board->takeOff(0, 1);
    expect($board->on[0])->toBe(0)->and($board->room)->toBe([9, 9, 2]);
    expect((new WeekBoard(halves(9, 2), [stage('new', 3, new: true)], 2))->twice)->toBe([false]);
});

test('two reviews change places where both days have the time', function (): void {
    $review = fn (string $id, int $half, array $more = []): PlanTask => new PlanTask($id, TaskKind::Review, $half, ...$more);
    $board = new WeekBoard(halves(6, 6), [$review('a', 4), $review('b', 6), $review('c', 2, ['locked' => ['2031-05-05']])], 2);
    $board->put(0, 0);
    expect($board->exchange(0, 2))->toBeFalse()->and($board->exchange(1, 0))->toBeFalse();
    $board->restore([[0b10, 0, 0b01], [4, 2], [2, 2]]);
    expect($board->exchange(1, 0))->toBeTrue()->and($board->on)->toBe([0, 0b10, 0b01])->and($board->room)->toBe([4, 0]);
});

test('what stood before stands again as far as the rules let it', function (): void {
    $board = new WeekBoard(halves(6, 6), [
        stage('a', 4, more: ['stood' => ['2031-05-05', '2031-05-06']]),
        stage('b', 4, more: ['stood' => ['2031-05-05']]),
        stage('n', 2, new: true, more: ['stood' => ['2031-05-05']]),
    ], 2);
    // There is no room for b beside a; new work of one day alone is not put back.
    expect($board->on)->toBe([0b11, 0, 0]);
});

test('a lock that comes before what it waits for is told', function (): void {
    $board = new WeekBoard(halves(9, 9), [stage('a', 3), stage('b', 3, ['a'], more: ['locked' => ['2031-05-05']])], 2);
    expect($board->early())->toBe(1)->and($board->free(0))->toBe(0);
});

test('whatever is put, taken off and moved, rooms and new things add up', function (int $seed): void {
    $week = InventedWeeks::make($seed);
    $chance = new Randomizer(new Mt19937($seed));
    $board = new WeekBoard($week->days, $week->tasks, $week->mostNew);
    (new WeekSearch($board))->fillBoard(20);
    (new WeekSpread($board, $week->tasks))->even();
    for ($step = 0; $step < 40; $step++) {
        $task = $chance->getInt(0, count($week->tasks) - 1);
        $days = $board->free($task);
        if ($days !== 0 && $chance->getInt(0, 1) === 1) {
            $board->put($task, WeekBoard::dayAt($days, 0));
        } else {
            $loose = $board->on[$task] & ~$board->locked[$task];
            $loose === 0 ? $board->drop($task) : $board->takeOff($task, WeekBoard::dayAt($loose, 0));
        }
        foreach ($week->days as $day => $of) {
            $used = 0;
            $new = 0;
            foreach ($week->tasks as $at => $one) {
                $used += ($board->on[$at] >> $day & 1) === 1 ? $one->halfMinutes : 0;
                $new += $one->isMet() && ($board->on[$at] & -$board->on[$at]) === 1 << $day ? 1 : 0;
            }
            expect($board->room[$day])->toBe($of->halfMinutes - $used)->and($board->room[$day])->toBeGreaterThanOrEqual(0)
                ->and($new)->toBeLessThanOrEqual($week->mostNew);
        }
    }
})->with(range(1, 12));

test('the same week always gets the same days', function (): void {
    $on = function (): array {
        $week = InventedWeeks::make(21);
        $board = new WeekBoard($week->days, $week->tasks, $week->mostNew);
        (new WeekSearch($board))->fillBoard();

        return $board->on;
    };
    expect($on())->toBe($on());
});

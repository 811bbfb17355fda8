<?php

declare(strict_types=1);

use App\Demo\InventedWeeks;
use Nasturtium\Core\Practice\Planning\BrokenRule;
use Nasturtium\Core\Practice\Planning\PlanDay;
use Nasturtium\Core\Practice\Planning\PlanTask;
use Nasturtium\Core\Practice\Planning\RuleCheck;
use Nasturtium\Core\Practice\Planning\Week;
use Nasturtium\Core\Practice\Planning\WeekBoard;
use Nasturtium\Core\Practice\Planning\WeekSearch;
use Nasturtium\Core\Practice\Planning\WeekSpread;
use Nasturtium\Core\Practice\TaskClass;

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
    return new PlanTask($id, TaskClass::Playing, $half, $waits, $new, ...$more);
}

/**
 * @param  list<PlanDay>  $days
 * @param  list<PlanTask>  $tasks
 */
function board(array $days, array $tasks, int $mostNew = 2, int $mostTasks = 9): WeekBoard
{
    return new WeekBoard(new Week($days, $tasks, $mostNew, null, $mostTasks));
}

test('bits are counted, and the day of each is found', function (): void {
    expect(array_map(WeekBoard::count(...), [0, 1, 0b1011, 0b1000000]))->toBe([0, 1, 3, 1])
        ->and([WeekBoard::dayAt(0b1011, 0), WeekBoard::dayAt(0b1011, 1), WeekBoard::dayAt(0b1011, 2), WeekBoard::dayAt(0b1000, 0), WeekBoard::dayAt(1 << 30, 0)])->toBe([0, 1, 3, 3, 30])
        ->and([WeekBoard::last(0b1011), WeekBoard::last(1)])->toBe([0b1000, 1]);
});

test('a task is free where there is room, after what it waits for, and where not too much is new', function (): void {
    $board = board(halves(10, 4, 10), [stage('a', 6), stage('b', 4, ['a']), stage('c', 4, new: true), stage('d', 4, new: true)], 1);
    expect($board->firstDays(0))->toBe(0b101)->and($board->firstDays(1))->toBe(0)->and($board->waitsInVain(1))->toBeTrue();
    $board->put(0, 0);
    expect($board->firstDays(1))->toBe(0b110)->and($board->room)->toBe([4, 4, 10]);
    $board->put(2, 0);
    // The first day has its one new thing and no room; d may be met on the others.
    expect($board->firstDays(3))->toBe(0b110)->and($board->newOn(0b1))->toBe(1);
    $board->drop(2);
    $board->put(2, 1);
    expect($board->firstDays(3))->toBe(0b101);
});

test('a first day that takes longer gives its time back when another becomes the first', function (): void {
    $board = board(halves(10, 10, 10), [stage('a', 4, new: true, more: ['halfMinutesFirst' => 7])]);
    $board->put(0, 1);
    $board->put(0, 2);
    expect($board->room)->toBe([10, 3, 6]);
    $board->put(0, 0);
    expect($board->room)->toBe([3, 6, 6]);
    $board->lift(0, 0);
    expect($board->room)->toBe([10, 3, 6]);
});

test('a day has so many places; a glance takes none', function (): void {
    $board = board(halves(20, 20), [stage('a', 4), stage('b', 4), new PlanTask('look', TaskClass::Glance, 2)], 2, 1);
    $board->put(0, 0);
    expect($board->firstDays(1))->toBe(0b10)->and($board->firstDays(2))->toBe(0b11);
});

test('what waits goes with what it waits for, and so does new work that stands alone', function (): void {
    $board = board(halves(9, 9, 9), [stage('a', 3), stage('b', 3, ['a']), stage('c', 3, ['b'])], 3);
    foreach ([[0, 0], [0, 1], [1, 1], [1, 2], [2, 2]] as [$task, $day]) {
        $board->put($task, $day);
    }
    $board->lift(0, 0);
    $board->settle();
    // b stood on the day on which a is first met now, and c waits for b.
    expect($board->on)->toBe([0b010, 0, 0])->and($board->room)->toBe([9, 6, 9]);
    $board = board(halves(9, 9, 2), [stage('new', 3, new: true), stage('short', 2, new: true, more: ['mostDays' => 1])]);
    expect($board->twice)->toBe([true, false]);
    $board->put(0, 0);
    $board->settle();
    expect($board->on[0])->toBe(0);
});

test('how early a chain can be met decides whether two days are asked of it', function (): void {
    $chain = [stage('a', 3, new: true), stage('b', 3, ['a'], true), stage('c', 3, ['b'], true)];
    expect(board(halves(9, 9, 9, 9), $chain)->twice)->toBe([true, true, true])
        // c can be met on the last day alone: for another week. b is met once, and has a day after it.
        ->and(board(halves(9, 9, 9), $chain)->twice)->toBe([true, true, false])
        ->and(board(halves(9, 9, 9), $chain)->hasDays)->toBe([true, true, false]);
    // With one new thing a day, two hands take two days before they come together.
    $hands = [stage('right', 3, new: true), stage('left', 3, new: true), stage('both', 3, ['right', 'left'], true)];
    expect(board(halves(9, 9, 9), $hands, 2)->twice[2])->toBeTrue()->and(board(halves(9, 9, 9), $hands, 1)->twice[2])->toBeFalse();
});

test('two reviews change places where both days have the time and the days they are wanted on', function (): void {
    $review = fn (string $id, int $half, array $more = []): PlanTask => new PlanTask($id, TaskClass::Review, $half, ...$more);
    $board = board(halves(6, 6), [$review('a', 4), $review('b', 6), $review('c', 2, ['locked' => ['2031-05-05']]), $review('d', 2, ['mostDays' => 1])]);
    $board->put(0, 1);
    expect($board->exchange(0, 2))->toBeFalse()->and($board->exchange(1, 0))->toBeTrue()->and($board->on)->toBe([0, 0b10, 0b01, 0])->and($board->room)->toBe([4, 0]);
    $board->drop(1);
    $board->put(0, 0);
    $board->put(0, 1);
    expect($board->exchange(3, 0))->toBeFalse();
});

test('what stood before stands again as far as the rules let it', function (): void {
    $week = new Week(halves(6, 6), [
        stage('a', 4, more: ['stood' => ['2031-05-05', '2031-05-06']]),
        new PlanTask('b', TaskClass::Review, 4),
    ], 2);
    $board = new WeekBoard($week);
    (new WeekSearch($board, $week))->fillBoard(0);
    // A review would be worth as much as the second day of a.
    expect($board->on)->toBe([0b11, 0]);
});

test('whatever the search takes out and fills again, no rule is broken and the times add up', function (int $seed): void {
    $week = InventedWeeks::make($seed);
    $board = new WeekBoard($week);
    $room = $board->room;
    $locked = array_filter($board->locked);
    (new WeekSearch($board, $week))->fillBoard(60);
    (new WeekSpread($board))->even();
    $dates = [];
    foreach ($board->on as $at => $days) {
        for (; $days !== 0; $days &= $days - 1) {
            $day = WeekBoard::dayAt($days, 0);
            $isFirst = $day === WeekBoard::dayAt($board->on[$at], 0);
            $dates[$week->tasks[$at]->id][] = $week->days[$day]->date;
            $room[$day] -= in_array($at, array_keys($locked), true) && ($locked[$at] >> $day & 1) === 1 ? 0 : ($isFirst ? $board->sizeFirst[$at] : $board->size[$at]);
        }
    }
    expect($board->room)->toBe($room);
    // A lock may leave a day too long; nothing else is broken.
    $broken = array_filter(RuleCheck::broken($week, $dates), static fn (BrokenRule $of): bool => $locked === [] || ! str_starts_with($of->text, 'The day has'));
    expect($broken)->toBe([]);
})->with(range(1, 24));

test('the same week always gets the same days', function (): void {
    $on = function (): array {
        $week = InventedWeeks::make(21);
        $board = new WeekBoard($week);
        (new WeekSearch($board, $week))->fillBoard();

        return $board->on;
    };
    expect($on())->toBe($on());
});

<?php

declare(strict_types=1);

use Nasturtium\Core\Practice\Calendar\Timetable;

/*
 * 5 May 2031 is a Monday.
 */

test('the lesson on a day or after it', function (array $weekdays, string $day, string $lesson): void {
    expect((new Timetable($weekdays))->onOrAfter($day))->toBe($lesson);
})->with([
    'the same day' => [[1], '2031-05-05', '2031-05-05'],
    'later in the week' => [[4], '2031-05-05', '2031-05-08'],
    'over the weekend' => [[1], '2031-05-06', '2031-05-12'],
    'a Sunday' => [[7], '2031-05-05', '2031-05-11'],
    'over the end of a year' => [[2], '2031-12-31', '2032-01-06'],
    'two lessons a week' => [[2, 5], '2031-05-07', '2031-05-09'],
    'the week the clocks go forward' => [[1], '2031-03-30', '2031-03-31'],
    'the week they go back' => [[7], '2031-10-25', '2031-10-26'],
]);

test('holidays are left out, and a week stretches over them', function (): void {
    $table = new Timetable([1], [['2031-05-10', '2031-05-19'], ['2031-06-02', '2031-06-02']]);
    expect($table->between('2031-05-01', '2031-06-10'))->toBe(['2031-05-05', '2031-05-26', '2031-06-09']);
});

test('a lesson is moved, cancelled or added, and what was agreed upon stands in a holiday too', function (): void {
    $table = new Timetable([1], [['2031-05-19', '2031-05-25']], ['2031-05-05' => '2031-05-07', '2031-05-12' => null], ['2031-05-22']);
    expect($table->between('2031-05-05', '2031-05-27'))->toBe(['2031-05-07', '2031-05-22', '2031-05-26']);
});

test('no lesson is in sight', function (): void {
    expect((new Timetable([]))->onOrAfter('2031-05-05'))->toBeNull()
        ->and((new Timetable([1], [['2031-01-01', '2039-01-01']]))->between('2031-05-05', '2031-12-31'))->toBe([]);
});

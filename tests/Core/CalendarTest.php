<?php

declare(strict_types=1);

use Nasturtium\Core\Formats\Calendar;
use Nasturtium\Core\Formats\CalendarEvent;
use Nasturtium\Core\Practice\Calendar\LessonHour;

test('lessons and days are written as iCalendar, in universal time', function (): void {
    $berlin = new DateTimeZone('Europe/Berlin');
    $calendar = Calendar::write('Windowsill, Studio', [
        new CalendarEvent('lesson-1@nasturtium', new DateTimeImmutable('2031-03-28 16:15', $berlin), 30, 'Piano lesson'),
        new CalendarEvent('lesson-2@nasturtium', new DateTimeImmutable('2031-04-04 16:15', $berlin), 30, 'Piano lesson'),
        new CalendarEvent('day@nasturtium', new DateTimeImmutable('2031-05-06'), null, 'Piano, 9.5 min', "Warm-up\nTap; count"),
    ], new DateTimeImmutable('2031-03-01 09:00:00', new DateTimeZone('UTC')));
    expect(explode("\r\n", $calendar))->toBe([
        'BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Nasturtium//EN', 'CALSCALE:GREGORIAN', 'METHOD:PUBLISH', 'X-WR-CALNAME:Windowsill\, Studio', 'REFRESH-INTERVAL;VALUE=DURATION:PT6H',
        // A quarter past four in Berlin, before the clocks go forward and after.
        'BEGIN:VEVENT', 'UID:lesson-1@nasturtium', 'DTSTAMP:20310301T090000Z', 'DTSTART:20310328T151500Z', 'DTEND:20310328T154500Z', 'SUMMARY:Piano lesson', 'END:VEVENT',
        'BEGIN:VEVENT', 'UID:lesson-2@nasturtium', 'DTSTAMP:20310301T090000Z', 'DTSTART:20310404T141500Z', 'DTEND:20310404T144500Z', 'SUMMARY:Piano lesson', 'END:VEVENT',
        'BEGIN:VEVENT', 'UID:day@nasturtium', 'DTSTAMP:20310301T090000Z', 'DTSTART;VALUE=DATE:20310506', 'DTEND;VALUE=DATE:20310507', 'TRANSP:TRANSPARENT', 'SUMMARY:Piano\, 9.5 min', 'DESCRIPTION:Warm-up\nTap\; count', 'END:VEVENT',
        'END:VCALENDAR', '',
    ]);
});

test('long lines are folded between characters', function (): void {
    $title = str_repeat('né', 60);
    $calendar = Calendar::write('x', [new CalendarEvent('u', new DateTimeImmutable('2031-05-06'), null, $title)], new DateTimeImmutable('2031-05-01'));
    foreach (explode("\r\n", $calendar) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75)->and(mb_check_encoding($line, 'UTF-8'))->toBeTrue();
    }
    expect(str_replace("\r\n ", '', $calendar))->toContain("SUMMARY:{$title}\r\n");
});

test('two lessons meet where one teacher would have to be at both', function (string $begins, int $minutes, bool $meets): void {
    $lesson = new LessonHour('15:30', 30);
    $other = new LessonHour($begins, $minutes);
    expect($lesson->meets($other))->toBe($meets)->and($other->meets($lesson))->toBe($meets);
})->with([
    'the same time' => ['15:30', 30, true],
    'one minute of it' => ['15:59', 30, true],
    'as it ends' => ['16:00', 30, false],
    'until it begins' => ['15:00', 30, false],
    'one minute too long' => ['15:00', 31, true],
    'around it' => ['15:00', 90, true],
    'within it' => ['15:40', 10, true],
]);

test('the hour of a lesson says from when to when, and is one', function (): void {
    expect((new LessonHour('15:30:00', 45))->words())->toBe('15:30 to 16:15')
        ->and((new LessonHour('23:45', 30))->words())->toBe('23:45 to 00:15')
        ->and(fn () => new LessonHour('24:00', 30))->toThrow(InvalidArgumentException::class, '24:00')
        ->and(fn () => new LessonHour('15:30', 0))->toThrow(InvalidArgumentException::class, '0 minutes');
});

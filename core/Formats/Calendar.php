<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats;

/** A calendar as iCalendar (RFC 5545) has it; times are in UTC, so that every program shows them where it is. */
final class Calendar
{
    /** Bytes of a line, without its break. */
    private const WIDTH = 75;

    /**
     * @param  list<CalendarEvent>  $events
     * @param  \DateTimeImmutable  $made  the moment it is written
     */
    public static function write(string $name, array $events, \DateTimeImmutable $made): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Nasturtium//EN', 'CALSCALE:GREGORIAN', 'METHOD:PUBLISH', 'X-WR-CALNAME:'.self::text($name), 'REFRESH-INTERVAL;VALUE=DURATION:PT6H'];
        foreach ($events as $event) {
            array_push(
                $lines,
                'BEGIN:VEVENT',
                "UID:{$event->uid}",
                'DTSTAMP:'.self::moment($made),
                ...self::time($event),
                ...['SUMMARY:'.self::text($event->summary)],
                ...$event->description === '' ? [] : ['DESCRIPTION:'.self::text($event->description)],
                ...['END:VEVENT'],
            );
        }
        $lines[] = 'END:VCALENDAR';

        return implode('', array_map(static fn (string $line): string => self::folded($line)."\r\n", $lines));
    }

    /** @return list<string> */
    private static function time(CalendarEvent $event): array
    {
        if ($event->minutes === null) {
            return ['DTSTART;VALUE=DATE:'.$event->begins->format('Ymd'), 'DTEND;VALUE=DATE:'.$event->begins->modify('+1 day')->format('Ymd'), 'TRANSP:TRANSPARENT'];
        }

        return ['DTSTART:'.self::moment($event->begins), 'DTEND:'.self::moment($event->begins->modify("+{$event->minutes} minutes"))];
    }

    private static function moment(\DateTimeImmutable $at): string
    {
        return $at->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\\THis\\Z');
    }

    private static function text(string $text): string
    {
        // A lone carriage return would begin a line of its own in some readers, and other control characters have no place at all.
        $clean = (string) preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', '', $text);

        return strtr($clean, ['\\' => '\\\\', ';' => '\\;', ',' => '\\,', "\r\n" => '\\n', "\n" => '\\n', "\r" => '\\n']);
    }

    /** Long lines go on after a break and a space; no character is cut in two. */
    private static function folded(string $line): string
    {
        $folded = '';
        for ($width = self::WIDTH; strlen($line) > $width; $width = self::WIDTH - 1) {
            $part = mb_strcut($line, 0, $width);
            $folded .= "{$part}\r\n ";
            $line = substr($line, strlen($part));
        }

        return $folded.$line;
    }
}

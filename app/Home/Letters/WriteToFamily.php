<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Account\Letters\Letter;
use App\Http\English;
use App\Student\Student;
use App\Week\SentPlan;
use App\Week\Week;

/** What goes to a family by mail, where the teacher has entered an address: the week that is sent, a report. */
final class WriteToFamily
{
    /** @param Week $week with its student and what SentPlan::RELATIONS names */
    public static function week(Week $week): void
    {
        $student = $week->student;
        if ($student->family_mail === null) {
            return;
        }
        $lines = $week->message === '' ? [] : [$week->message, ''];
        foreach (SentPlan::lines($week) as $line) {
            if ($line->dates !== []) {
                $lines[] = "{$line->name} ({$line->days()}): {$line->instruction}";
            }
        }
        $lines[] = '';
        $lines[] = 'The next lesson is on '.English::weekday($week->ends_on).'.';
        (new Letter($student->studio, $student->id, "{$student->first_name}’s week from ".English::day($week->starts_on), $lines))->post($student->family_mail);
    }

    /** @param non-empty-list<string> $changes in a plan that the family has */
    public static function changes(Week $week, array $changes): void
    {
        $student = $week->student;
        if ($student->family_mail === null) {
            return;
        }
        $lines = [...$week->message === '' ? [] : [$week->message, ''], ...$changes, '', 'The plan at home shows it already.'];
        (new Letter($student->studio, $student->id, "What has changed in {$student->first_name}’s plan", $lines))->post($student->family_mail);
    }

    /** @param list<string> $lines */
    public static function report(Student $student, string $to, string $title, array $lines): void
    {
        (new Letter($student->studio, $student->id, $title, $lines))->post($to);
    }
}

<?php

declare(strict_types=1);

namespace App\Home\Letters;

use App\Account\Letter;
use App\Http\English;

use App\Student\Student;
use App\Week\SentPlan;
use App\Week\Week;
use Illuminate\Support\Facades\Mail;
use Illuminate\Validation\ValidationException;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;

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
        self::send($student, new Letter($student->studio, $student->id, "{$student->first_name}’s week from ".English::day($week->starts_on), $lines));
    }

    /** @param non-empty-list<string> $changes in a plan that the family has */
    public static function changes(Week $week, array $changes): void
    {
        $student = $week->student;
        if ($student->family_mail === null) {
            return;
        }
        $lines = [...$week->message === '' ? [] : [$week->message, ''], ...$changes, '', 'The plan at home shows it already.'];
        self::send($student, new Letter($student->studio, $student->id, "What has changed in {$student->first_name}’s plan", $lines));
    }

    /** @param list<string> $lines */
    public static function report(Student $student, string $title, array $lines): void
    {
        self::send($student, new Letter($student->studio, $student->id, $title, $lines));
    }

    /** @throws ValidationException when the mailer does not take it; nothing is sent by halves */
    private static function send(Student $student, Letter $letter): void
    {
        try {
            Mail::to($student->family_mail ?? '')->send($letter);
        } catch (TransportExceptionInterface $reason) {
            report($reason);
            throw ValidationException::withMessages(['mail' => "The mail to {$student->family_mail} could not be sent, so nothing was. Try again, or take the address off the student’s page."]);
        }
    }
}

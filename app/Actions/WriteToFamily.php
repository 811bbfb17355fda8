<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mail\Letter;
use App\Models\Student;
use App\Models\Task;
use App\Models\TaskDay;
use App\Models\Week;
use Illuminate\Support\Facades\Mail;

/** What goes to a family by mail, where the teacher has entered an address: the week that is sent, a report. */
final class WriteToFamily
{
    public static function week(Week $week): void
    {
        $week->loadMissing(['student.studio', 'tasks.days', 'tasks.learning.piece']);
        $student = $week->student;
        if ($student->family_mail === null) {
            return;
        }
        $lines = $week->message === '' ? [] : [$week->message, ''];
        foreach ($week->tasks->filter(static fn (Task $task): bool => $task->days->isNotEmpty()) as $task) {
            $days = $task->days->sortBy('on_date')->map(static fn (TaskDay $day): string => $day->on_date->format('D'))->unique()->implode(', ');
            $piece = $task->learning === null ? '' : ", {$task->learning->piece->title}";
            $lines[] = "{$task->title}{$piece} ({$days}): {$task->instruction}";
        }
        $lines[] = '';
        $lines[] = "The next lesson is on {$week->ends_on->format('l, j F')}.";
        Mail::to($student->family_mail)->send(new Letter($student->studio, "{$student->first_name}’s week from {$week->starts_on->format('j F')}", $lines));
    }

    /** @param list<string> $lines */
    public static function report(Student $student, string $title, array $lines): void
    {
        Mail::to($student->family_mail ?? '')->send(new Letter($student->studio, $title, $lines));
    }
}

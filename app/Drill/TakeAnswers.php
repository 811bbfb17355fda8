<?php

declare(strict_types=1);

namespace App\Drill;

use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Drill\DrillKind;

/** Keeps the answers of a session. Sent twice, or by two phones, each counts once; late ones lie at their own time. */
final class TakeAnswers
{
    /** Answers that a phone has kept for longer say nothing of today. */
    private const DAYS_LATE = 31;

    /** @param list<array{card: string, right: bool, milliseconds: int, given: string, at: string}> $answers in their order */
    public function __invoke(Student $student, string $session, DrillKind $kind, array $answers): void
    {
        $now = CarbonImmutable::now();
        $zone = $student->timezone ?? $student->studio->timezone;
        $rows = [];
        foreach ($answers as $position => $answer) {
            // A clock that is wrong puts no answer into another month, or into days to come.
            $at = CarbonImmutable::parse($answer['at'])->utc()->min($now)->max($now->subDays(self::DAYS_LATE));
            $rows[] = [
                'studio_id' => $student->studio_id,
                'student_id' => $student->id,
                'session' => $session,
                'position' => $position,
                'kind' => $kind->value,
                'card' => $answer['card'],
                'note' => self::note($kind, $answer['card']),
                'is_right' => $answer['right'],
                'milliseconds' => $answer['milliseconds'],
                'given' => $answer['given'],
                'answered_at' => $at->toDateTimeString(),
                'on_date' => $at->setTimezone($zone)->toDateString(),
            ];
        }
        DB::table('drill_answers')->insertOrIgnore($rows);
    }

    /** The note that an answer tells of, from the name of its card (trade 15.4). */
    private static function note(DrillKind $kind, string $card): ?string
    {
        return $kind->tellsOfNotes() && preg_match('/^'.$kind->value.' ('.DrillAnswer::NOTE.')$/D', $card, $found) === 1 ? $found[1] : null;
    }
}

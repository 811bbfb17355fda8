<?php

declare(strict_types=1);

namespace App\Demo;

use App\Drill\TakeAnswers;
use App\Student\KnowNotes;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Drill\Trial\Learner;
use Nasturtium\Core\Drill\Trial\Note;
use Nasturtium\Core\Drill\Trial\OurChoosing;
use Nasturtium\Core\Practice\Answer;
use Nasturtium\Core\Score\Pitch;

/** Two weeks in the practice room, as an invented learner answers there. */
final class TrainInRoom
{
    private const DAYS = 14;

    private const SECONDS = 90;

    public function __construct(private readonly KnowNotes $know, private readonly TakeAnswers $take, private readonly Chance $chance) {}

    public function __invoke(Student $student, CarbonImmutable $today): void
    {
        $notes = array_column(array_map(Note::named(...), array_keys($this->know->now($student, $today))), null, 'name');
        $learner = new Learner($student->id);
        $choosing = new OurChoosing(array_keys($notes), $student->id);
        for ($ago = self::DAYS; $ago > 0; $ago--) {
            if (! $this->chance->happens(65)) {
                continue;
            }
            $start = $today->subDays($ago)->addHours(15)->getTimestamp();
            $kind = $this->chance->oneOf([DrillKind::Name, DrillKind::Name, DrillKind::Find]);
            $choosing->begin($start, self::SECONDS);
            $answers = [];
            for ($spent = 0; ($card = $choosing->next($spent > 1_000 * self::SECONDS)) !== null; $spent += $answer->milliseconds) {
                $answer = $learner->answer($notes[$card], $start + intdiv($spent, 1_000));
                $choosing->take($card, $answer);
                $answers[] = ['card' => "{$kind->value} {$card}", 'right' => $answer->right, 'milliseconds' => $answer->milliseconds, 'given' => $this->given($kind, $card, $answer), 'at' => gmdate('Y-m-d\TH:i:s\Z', $answer->at)];
            }
            ($this->take)($student, (string) Str::uuid(), $kind, $answers);
        }
    }

    /** Whoever is wrong is mostly wrong by a step. */
    private function given(DrillKind $kind, string $card, Answer $answer): string
    {
        $pitch = Pitch::parse(explode(':', $card)[1] ?? '');
        $given = $answer->right ? $pitch : Pitch::ofDiatonic($pitch->diatonic() + $this->chance->oneOf([-1, 1, 1, 2]));

        return $kind === DrillKind::Find ? (string) $given->midi() : $given->spelled();
    }
}

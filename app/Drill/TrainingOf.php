<?php

declare(strict_types=1);

namespace App\Drill;

use App\Http\English;
use App\Student\KnowNotes;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Drill\Confusion;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Formats\MusicXml\NoteChart;
use Nasturtium\Core\Practice\Median;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Reading\StaffPlace;
use Nasturtium\Core\Score\Clef;
use Nasturtium\Core\Score\Pitch;

/** What a student has trained: the notes with their state, speed over weeks, confused pairs, and when what was trained. */
final class TrainingOf
{
    private const WEEKS = 8;

    private const SESSIONS = 12;

    private const CONFUSED = 6;

    public function __construct(private readonly KnowNotes $know) {}

    public function __invoke(Student $student): TrainingResource
    {
        $today = $student->today();
        $from = $today->startOfWeek()->subWeeks(self::WEEKS - 1);
        $answers = self::ofNotes($student, $from)->orderBy('answered_at')->get(['note', 'given', 'kind', 'is_right', 'milliseconds', 'on_date']);
        $notes = $this->notes($this->know->now($student, $today), $answers->groupBy('note'));

        return new TrainingResource(
            $student->id,
            $student->name()->short(),
            $notes,
            NoteChart::write(array_map(static fn (TrainedNoteResource $note): array => [$note->clef, Pitch::parse($note->pitch)], $notes)),
            self::weeks($answers, $from, $today),
            self::confused($answers),
            self::sessions($student),
            DeckFor::best($student),
            TrainingSettingsResource::of($student),
        );
    }

    private static function ofNotes(Student $student, CarbonImmutable $from): Builder
    {
        return DB::table('drill_answers')->where('student_id', $student->id)->whereNotNull('note')->where('on_date', '>=', $from->toDateString());
    }

    /**
     * @param  array<string, NoteStatus>  $known
     * @param  Collection<string, Collection<int, \stdClass>>  $answers
     * @return list<TrainedNoteResource> from low to high
     */
    private function notes(array $known, Collection $answers): array
    {
        $notes = [];
        foreach ($known as $name => $status) {
            [$clef, $pitch] = explode(':', $name);
            [$clef, $pitch] = [Clef::from($clef), Pitch::parse($pitch)];
            $of = $answers->get($name, new Collection());
            $notes[] = new TrainedNoteResource(
                NoteChart::nameOf($clef, $pitch),
                $clef,
                $pitch->name(),
                StaffPlace::of($pitch, $clef),
                $pitch->midi(),
                $status,
                $of->count(),
                $of->where('is_right', 1)->count(),
                Median::of(array_values($of->pluck('milliseconds')->map(static fn (mixed $one): int => (int) $one)->all())),
            );
        }
        usort($notes, static fn (TrainedNoteResource $a, TrainedNoteResource $b): int => [$a->midi, $a->clef->value] <=> [$b->midi, $b->clef->value]);

        return $notes;
    }

    /**
     * @param  Collection<int, \stdClass>  $answers
     * @return list<TrainedWeekResource> the last weeks, also those without an answer
     */
    private static function weeks(Collection $answers, CarbonImmutable $from, CarbonImmutable $today): array
    {
        $weeks = [];
        for ($start = $from; $start->lessThanOrEqualTo($today); $start = $start->addWeek()) {
            $of = $answers->whereBetween('on_date', [$start->toDateString(), $start->addDays(6)->toDateString()]);
            $weeks[] = new TrainedWeekResource(
                $start->toDateString(),
                $of->count(),
                $of->where('is_right', 1)->count(),
                Median::of(array_values($of->where('is_right', 1)->pluck('milliseconds')->map(static fn (mixed $one): int => (int) $one)->all())),
            );
        }

        return $weeks;
    }

    /**
     * @param  Collection<int, \stdClass>  $answers
     * @return list<ConfusedResource> those that happened most often
     */
    private static function confused(Collection $answers): array
    {
        $pairs = [];
        foreach ($answers->where('is_right', 0)->whereIn('kind', [DrillKind::Name->value, DrillKind::Find->value])->countBy(static fn (\stdClass $answer): string => "{$answer->note} {$answer->given}") as $pair => $times) {
            [$note, $given] = explode(' ', $pair, 2);
            $confusion = Confusion::of($note, $given, $times);
            if ($confusion !== null && $times > 1) {
                $pairs[] = new ConfusedResource($confusion->clef, English::text($confusion->words()), $times);
            }
        }
        usort($pairs, static fn (ConfusedResource $a, ConfusedResource $b): int => [-$a->times, $a->words] <=> [-$b->times, $b->words]);

        return array_slice($pairs, 0, self::CONFUSED);
    }

    /** @return list<TrainedSessionResource> the newest first */
    private static function sessions(Student $student): array
    {
        $rows = DB::table('drill_answers')->where('student_id', $student->id)->groupBy('session', 'kind', 'on_date')->orderByRaw('max(answered_at) desc')->limit(self::SESSIONS)
            ->selectRaw('kind, on_date, count(*) as answers, sum(is_right) as hits')->get();

        return array_values($rows->map(static fn (\stdClass $row): TrainedSessionResource => new TrainedSessionResource((string) $row->on_date, DrillKind::from((string) $row->kind), (int) $row->answers, (int) $row->hits))->all());
    }
}

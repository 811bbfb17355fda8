<?php

declare(strict_types=1);

namespace App\Drill;

use App\Http\English;
use App\Student\KnownNoteResource;
use App\Student\KnowNotes;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Drill\Confusion;
use Nasturtium\Core\Drill\DrillKind;
use Nasturtium\Core\Practice\Median;

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
        $known = KnownNoteResource::all($this->know->now($student, $today));

        return new TrainingResource(
            $student->id,
            $student->name()->short(),
            self::notes($known, $answers),
            KnownNoteResource::chart($known),
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
     * @param  list<KnownNoteResource>  $known
     * @param  Collection<int, \stdClass>  $answers
     * @return list<TrainedNoteResource> from low to high
     */
    private static function notes(array $known, Collection $answers): array
    {
        $answers = $answers->groupBy('note');

        return array_map(static function (KnownNoteResource $note) use ($answers): TrainedNoteResource {
            $of = $answers->get("{$note->clef->value}:{$note->pitch}", new Collection());

            return new TrainedNoteResource($note, $of->count(), $of->where('is_right', 1)->count(), self::median($of));
        }, $known);
    }

    /** @param Collection<int, \stdClass> $answers */
    private static function median(Collection $answers): ?int
    {
        return Median::of(array_values($answers->map(static fn (\stdClass $answer): int => (int) $answer->milliseconds)->all()));
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
                self::median($of->where('is_right', 1)),
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

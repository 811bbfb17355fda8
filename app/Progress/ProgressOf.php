<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\English;
use App\Student\KnownNoteResource;
use App\Student\KnowNotes;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\TermWords;
use Nasturtium\Core\Reading\NoteStatus;

/** What the weeks of a student tell over some time, as numbers and as sentences. */
final class ProgressOf
{
    public function __construct(private readonly KnowNotes $know) {}

    public function __invoke(Student $student, CarbonImmutable $from, CarbonImmutable $to): ProgressResource
    {
        $today = $student->today();
        $lived = Weeks::lived($student, $from, $to, $today);
        $touching = $lived->where('starts_on', '<=', $to->toDateString())->where('ends_on', '>=', $from->toDateString());
        $begun = $touching->where('starts_on', '>=', $from->toDateString())->values();
        $pages = LearntPages::of($student);
        $heard = Slips::heard($student, $from);
        $days = [...$begun->map(static fn (\stdClass $week): CarbonImmutable => CarbonImmutable::parse(min($week->ends_on, $to->toDateString())))->all(), $from, $to];
        $known = $this->know->history($student, $pages, $heard, array_values($days));
        $weeks = Weeks::of($begun, $known);
        [$slips, $places] = Slips::of($heard, $pages->pluck('title', 'id')->all(), $from, $to);
        $tempi = Tempi::of($touching, $pages->pluck('title', 'piece_id')->all(), $from, $to);
        $notes = KnownNoteResource::all(array_map(static fn (array $status): NoteStatus => $status[count($status) - 1], $known));

        return new ProgressResource(
            $student->id,
            $student->name()->short(),
            $from->toDateString(),
            $to->toDateString(),
            $this->words($student, $pages->whereBetween('finished_on', [$from->toDateString(), $to->toDateString()]), $pages->where('state', LearningState::Current->value), $weeks, $known, $notes, $tempi, $slips),
            $notes,
            KnownNoteResource::chart($notes),
            $weeks,
            $tempi,
            TakesHeard::of($student, $pages->pluck('title', 'piece_id')->all(), $from, $to),
            $slips,
            $places,
            BookPace::of($student, $lived, $pages, $today),
        );
    }

    /**
     * @param  Collection<int, \stdClass>  $finished  in this time
     * @param  Collection<int, \stdClass>  $current
     * @param  list<ProgressWeekResource>  $weeks
     * @param  array<string, list<NoteStatus>>  $known
     * @param  list<KnownNoteResource>  $notes
     * @param  list<ProgressTemposResource>  $tempi
     * @param  list<ProgressSlipResource>  $slips
     * @return list<string>
     */
    private function words(Student $student, Collection $finished, Collection $current, array $weeks, array $known, array $notes, array $tempi, array $slips): array
    {
        $secureAtStart = count(array_filter($known, static fn (array $of): bool => $of[count($of) - 2] === NoteStatus::Secure));
        $secure = array_filter($notes, static fn (KnownNoteResource $note): bool => $note->status === NoteStatus::Secure);
        $shaky = array_filter($notes, static fn (KnownNoteResource $note): bool => $note->status === NoteStatus::Shaky);

        return [
            ...array_map(English::text(...), TermWords::practice(
                $student->first_name,
                array_sum(array_column($weeks, 'daysPlanned')),
                array_sum(array_column($weeks, 'daysPractised')),
                (int) array_sum(array_column($weeks, 'practised')),
            )),
            ...TermWords::pieces(
                array_values($finished->pluck('title')->all()),
                array_values($current->pluck('title')->all()),
            ),
            ...TermWords::tempi(array_map(static fn (ProgressTemposResource $of): array => ['piece' => $of->piece, 'from' => $of->points[0]->tempo ?? 0, 'to' => max([0, ...array_column($of->points, 'tempo')])], $tempi)),
            ...TermWords::notes($student->first_name, count($secure), $secureAtStart, array_values(array_unique(array_column($shaky, 'pitch')))),
            ...TermWords::slips(array_map(static fn (ProgressSlipResource $of): array => ['words' => $of->words, 'recent' => $of->recent, 'before' => $of->before], $slips)),
        ];
    }
}

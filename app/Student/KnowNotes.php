<?php

declare(strict_types=1);

namespace App\Student;

use App\Page\Piece\Piece;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\Evidence;
use Nasturtium\Core\Practice\EvidenceKind;
use Nasturtium\Core\Practice\NoteKnowledge;
use Nasturtium\Core\Practice\Slip as SlipKind;
use Nasturtium\Core\Reading\KnownNotes;
use Nasturtium\Core\Reading\NoteStatus;

/**
 * Which notes a student knows when a piece is opened, from the pages before it, the naming that passed, the slips
 * heard and the answers of the practice room (trade 10.1). The desk asks this each time, so rows are read bare, with their days counted by the database.
 *
 * @phpstan-type LearningRow object{piece_id: int, path: string, path_id: int|null, note_names: string, opened: int, played: int|null, named: int|null}
 * @phpstan-type SlipRow object{kind: string, note_names: string, held: int}
 */
final class KnowNotes
{
    /** The first of January 1970, as the database counts days. */
    private const EPOCH = 719_528;

    private const DAY = 86_400;

    /** The last answers to a note that are read. What was wrong before them and led to shaky again is not told any more. */
    private const ANSWERS = 40;

    /** @var array<string, list<Evidence>> by clef:pitch */
    private array $evidence = [];

    /** @param Collection<int, LearningRow> $learnings all of the student, from learnings() */
    public function __invoke(Student $student, Piece $piece, Collection $learnings, CarbonImmutable $today): KnownNotes
    {
        $this->evidence = [];
        $opened = $learnings->firstWhere('piece_id', $piece->id)?->opened;
        foreach ($learnings as $learning) {
            $this->page($learning, $learning->piece_id === $piece->id || ($opened !== null && $learning->opened >= $opened));
        }
        /** @var Collection<int, SlipRow> $slips */
        $slips = self::heard($student)->whereIn('slips.kind', self::values(self::misreadings()))->get();
        $this->slips($slips);
        $this->answers($student);
        $knowledge = new NoteKnowledge($student->enough());
        $now = self::dayOf($today);

        return KnownNotes::with(array_map(static fn (array $of) => $knowledge->status($of, $now), $this->evidence));
    }

    /**
     * How well each note is known today, in the order in which the pages brought them.
     *
     * @return array<string, NoteStatus> by clef:pitch
     */
    public function now(Student $student, CarbonImmutable $today): array
    {
        /** @var Collection<int, SlipRow> $slips */
        $slips = self::heard($student)->whereIn('slips.kind', self::values(self::misreadings()))->get();
        $known = $this->history($student, $this->learnings($student)->sortBy('opened'), $slips, [$today]);

        return array_map(static fn (array $of): NoteStatus => $of[0], $known);
    }

    /**
     * What a student knew on some days.
     *
     * @param  iterable<LearningRow>  $learnings  all of the student, from learnt()
     * @param  iterable<SlipRow>  $slips  all of the student, from heard()
     * @param  non-empty-list<CarbonImmutable>  $days
     * @return array<string, non-empty-list<NoteStatus>> one for each day, by clef:pitch
     */
    public function history(Student $student, iterable $learnings, iterable $slips, array $days): array
    {
        $this->evidence = [];
        foreach ($learnings as $learning) {
            $this->page($learning, false);
        }
        $this->slips($slips);
        $this->answers($student);
        $knowledge = new NoteKnowledge($student->enough());
        $known = [];
        $dates = array_map(self::dayOf(...), $days);
        foreach ($this->evidence as $name => $evidence) {
            $known[$name] = $knowledge->history($evidence, $dates);
        }

        return $known;
    }

    /** The last answers to each note. */
    private function answers(Student $student): void
    {
        $ranked = DB::table('drill_answers')->where('student_id', $student->id)->whereNotNull('note')
            ->selectRaw('note, is_right, milliseconds, to_days(on_date) as day, answered_at, id, row_number() over (partition by note order by answered_at desc, id desc) as back');
        $rows = DB::query()->fromSub($ranked, 'ranked')->where('back', '<=', self::ANSWERS)->orderBy('answered_at')->orderBy('id')->get();
        foreach ($rows as $row) {
            $this->evidence[$row->note][] = new Evidence($row->is_right ? EvidenceKind::RightAnswer : EvidenceKind::WrongAnswer, $row->day, $row->milliseconds);
        }
    }

    private static function dayOf(CarbonImmutable $day): int
    {
        return self::EPOCH + intdiv($day->getTimestamp(), self::DAY);
    }

    /** @param iterable<SlipRow> $slips */
    private function slips(iterable $slips): void
    {
        $misread = self::values(self::misreadings());
        foreach ($slips as $slip) {
            if (in_array($slip->kind, $misread, true)) {
                $this->add($slip->note_names, EvidenceKind::Slip, $slip->held);
            }
        }
    }

    /** @return array<SlipKind> */
    private static function misreadings(): array
    {
        return array_filter(SlipKind::cases(), static fn (SlipKind $kind): bool => $kind->isMisreading());
    }

    /** @return Builder rows of the slips heard of a student, with what tells of notes; days are counted */
    public static function heard(Student $student): Builder
    {
        return DB::table('lessons')->join('slips', 'slips.lesson_id', '=', 'lessons.id')->where('lessons.student_id', $student->id)
            ->selectRaw('slips.kind, slips.note_names, to_days(lessons.held_on) as held');
    }

    /** @return Collection<int, LearningRow> */
    public function learnings(Student $student): Collection
    {
        /** @var Collection<int, LearningRow> */
        return self::learnt($student)->get();
    }

    /** @return Builder rows of what a student has opened, with what tells of notes and of paths; days are counted */
    public static function learnt(Student $student): Builder
    {
        $naming = array_filter(StageKind::cases(), static fn (StageKind $kind): bool => $kind->namesEveryNote());
        $named = DB::table('stages')->selectRaw('to_days(max(passed_on))')->whereColumn('learning_id', 'learnings.id')->whereIn('kind', self::values($naming));

        return DB::table('learnings')->where('learnings.student_id', $student->id)->join('pieces', 'pieces.id', '=', 'learnings.piece_id')
            ->selectRaw('learnings.piece_id, learnings.path, learnings.path_id, pieces.note_names, to_days(opened_on) as opened, to_days(played_on) as played')
            ->selectSub($named, 'named');
    }

    /**
     * A page that was opened after the one in question introduces nothing to it; nor does that one itself.
     *
     * @param  LearningRow  $learning
     */
    private function page(object $learning, bool $isLater): void
    {
        if (! $isLater) {
            $this->add($learning->note_names, EvidenceKind::Page, $learning->opened);
            if ($learning->played !== null) {
                $this->add($learning->note_names, EvidenceKind::Page, $learning->played);
            }
        }
        if ($learning->named !== null) {
            $this->add($learning->note_names, EvidenceKind::Named, $learning->named);
        }
    }

    private function add(string $names, EvidenceKind $kind, int $day): void
    {
        $one = new Evidence($kind, $day);
        foreach ($names === '' ? [] : explode(',', $names) as $name) {
            $this->evidence[$name][] = $one;
        }
    }

    /**
     * @param  array<SlipKind|StageKind>  $kinds
     * @return list<string>
     */
    private static function values(array $kinds): array
    {
        return array_values(array_map(static fn (SlipKind|StageKind $kind): string => $kind->value, $kinds));
    }
}

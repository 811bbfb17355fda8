<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Learning;
use App\Models\Piece;
use App\Models\Slip;
use App\Models\Student;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Practice\Evidence;
use Nasturtium\Core\Practice\EvidenceKind;
use Nasturtium\Core\Practice\NoteKnowledge;
use Nasturtium\Core\Practice\Slip as SlipKind;
use Nasturtium\Core\Reading\KnownNotes;

/** Which notes a student knows when a piece is opened, from the pages before it, the naming that passed and the slips heard (handbook 10). */
final class KnowNotes
{
    private const MISREAD = [SlipKind::WrongNote, SlipKind::ReadBackwards];

    /** @var array<string, list<Evidence>> by clef:pitch */
    private array $evidence = [];

    public function __invoke(Student $student, Piece $piece, CarbonImmutable $today): KnownNotes
    {
        $this->evidence = [];
        $learnings = Learning::query()->where('student_id', $student->id)->with(['piece' => static fn ($pieces) => $pieces->select(['id', 'note_names'])])
            ->withMax(['allStages as named_on' => static fn ($stages) => $stages->whereIn('kind', self::naming())], 'passed_on')->get();
        $opened = $learnings->firstWhere('piece_id', $piece->id)?->opened_on;
        foreach ($learnings as $learning) {
            $this->page($learning, $learning->piece_id === $piece->id, $opened);
        }
        $slips = Slip::query()->whereRelation('lesson', 'student_id', $student->id)->whereIn('kind', array_column(self::MISREAD, 'value'))
            ->where('note_names', '!=', '')->with('lesson')->get();
        foreach ($slips as $slip) {
            $this->add($slip->note_names, EvidenceKind::Slip, $slip->lesson->held_on);
        }
        $knowledge = new NoteKnowledge();

        return KnownNotes::with(array_map(static fn (array $of) => $knowledge->status($of, self::day($today)), $this->evidence));
    }

    /** A page that was opened after this one introduces nothing to it; nor does this one itself. */
    private function page(Learning $learning, bool $isThis, ?CarbonImmutable $opened): void
    {
        $names = $learning->piece->note_names;
        if (! $isThis && ($opened === null || $learning->opened_on->lessThan($opened))) {
            $this->add($names, EvidenceKind::Page, $learning->opened_on);
            if ($learning->played_on !== null) {
                $this->add($names, EvidenceKind::Page, $learning->played_on);
            }
        }
        $named = $learning->getAttribute('named_on');
        if (is_string($named)) {
            $this->add($names, EvidenceKind::Named, CarbonImmutable::parse($named));
        }
    }

    private function add(string $names, EvidenceKind $kind, CarbonInterface $on): void
    {
        foreach (array_filter(explode(',', $names), static fn (string $name): bool => $name !== '') as $name) {
            $this->evidence[$name][] = new Evidence($kind, self::day($on));
        }
    }

    private static function day(CarbonInterface $on): int
    {
        return intdiv($on->startOfDay()->getTimestamp(), 86_400);
    }

    /** @return list<string> the stages whose pass mark is that every note was named */
    private static function naming(): array
    {
        $kinds = array_filter(StageKind::cases(), static fn (StageKind $kind): bool => $kind->petal() === Petal::Notes && $kind !== StageKind::PointMoves);

        return array_values(array_map(static fn (StageKind $kind): string => $kind->value, $kinds));
    }
}

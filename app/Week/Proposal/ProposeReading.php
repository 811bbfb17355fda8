<?php

declare(strict_types=1);

namespace App\Week\Proposal;

use App\Http\English;
use App\Sheet\GivenWorksheet;
use App\Student\KnowNotes;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Reading\NoteStatus;
use Nasturtium\Core\Sight\MakeLine;
use Nasturtium\Core\Sight\SightMaterial;
use Nasturtium\Core\Words;

/** What is read beside the pages: a line at sight, where notes enough are known, and worksheets that are not marked yet (trade 11.10). */
final class ProposeReading
{
    /** Half minutes: one and a half, and four. */
    private const SIGHT = 3;

    private const SHEET = 8;

    /** Worksheets of a week, those given first before later ones. */
    private const SHEETS = 2;

    public function __construct(private readonly KnowNotes $know) {}

    public function __invoke(TaskWriter $writer): void
    {
        $week = $writer->week;
        $known = $this->know->now($week->student, $week->starts_on);
        $shaky = array_keys($known, NoteStatus::Shaky, true);
        if ((new MakeLine(SightMaterial::of([], array_keys($known, NoteStatus::Secure, true), $shaky[0] ?? null)))->canMake()) {
            $writer->always(TaskKind::Sight, 'A line at sight', 'Look first, then play it once, slowly, without stopping.', self::SIGHT, ['why' => 'new each day, of notes that are known']);
        }
        $sheets = GivenWorksheet::query()->where('student_id', $week->student_id)->whereNull('right')->with('worksheet')->orderBy('given_on')->orderBy('id');
        $sheets->limit(self::SHEETS);
        foreach ($sheets->get() as $given) {
            $sheet = $given->worksheet;
            $writer->always(TaskKind::Theory, "Worksheet {$sheet->number}", "{$sheet->kind->label()}: ".Words::counted($sheet->count, 'question').'. Bring it to the lesson.', self::SHEET, ['why' => 'given '.English::shortDay($given->given_on)]);
        }
    }
}

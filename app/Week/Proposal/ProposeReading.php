<?php

declare(strict_types=1);

namespace App\Week\Proposal;

use App\Http\English;
use App\Student\KnowNotes;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Sheet\SheetKind;
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
        if ((new MakeLine(SightMaterial::ofKnown([], $this->know->now($week->student, $week->starts_on))))->canMake()) {
            $writer->always(TaskKind::Sight, 'A line at sight', 'Look first, then play it once, slowly, without stopping.', self::SIGHT, ['why' => 'new each day, of notes that are known']);
        }
        $sheets = DB::table('given_worksheets')->join('worksheets', 'worksheets.id', '=', 'given_worksheets.worksheet_id')->where('student_id', $week->student_id)->whereNull('right')
            ->orderBy('given_on')->orderBy('given_worksheets.id')->limit(self::SHEETS)->get(['number', 'kind', 'count', 'given_on']);
        foreach ($sheets as $sheet) {
            $what = SheetKind::from((string) $sheet->kind)->label().': '.Words::counted((int) $sheet->count, 'question');
            $writer->always(TaskKind::Theory, "Worksheet {$sheet->number}", "{$what}. Bring it to the lesson.", self::SHEET, ['why' => 'given '.English::shortDay(CarbonImmutable::parse((string) $sheet->given_on))]);
        }
    }
}

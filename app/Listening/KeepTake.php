<?php

declare(strict_types=1);

namespace App\Listening;

use App\Page\Piece\Piece;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Score\Hand;

/** Keeps a take as notes, once, and tells what was heard. */
final class KeepTake
{
    /** A phone that has kept it for longer says nothing of today. */
    private const DAYS_LATE = 31;

    /**
     * @param  array{int, int}  $bars  indices of the first and last measure
     * @param  array{task_id: int}|array{led_step_id: int}  $of
     */
    public function __invoke(TakeRequest $request, Student $student, Piece $piece, array $bars, ?Hand $hand, array $of): TakeHeardResource
    {
        // Of a page that was typed anew meanwhile, what is left of the bars.
        $bars = array_map(static fn (int $bar): int => min($bar, $piece->measures - 1), $bars);
        $source = Source::from($request->string('source')->toString());
        $take = $request->take();
        $heard = JudgedTakes::heard($piece->score(), $bars, $hand, $take, $source);
        $now = CarbonImmutable::now();
        $at = CarbonImmutable::parse($request->string('at')->toString())->utc()->min($now)->max($now->subDays(self::DAYS_LATE));
        DB::table('takes')->insertOrIgnore([
            'studio_id' => $student->studio_id,
            'student_id' => $student->id,
            ...$of,
            'client_key' => $request->string('clientKey')->toString(),
            'first' => $bars[0],
            'last' => $bars[1],
            'source' => $source->value,
            'taken_at' => $at->toDateTimeString(),
            'on_date' => $at->setTimezone($student->timezone ?? $student->studio->timezone)->toDateString(),
            'notes' => $take,
            'judged' => Judged::of($heard, $piece->revision)->json(),
        ]);

        return TakeHeardResource::of($heard);
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Stage;
use App\Models\StageBars;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Practice\Relief;
use Nasturtium\Core\Practice\TaskTime;
use Nasturtium\Core\Score\Fraction;

/** A stage that is stuck is done in smaller pieces, slower, or rests with its page; its misses up to now no longer count. */
final class RelieveStage
{
    public function __invoke(Stage $stage, Relief $relief): void
    {
        $stage->load(['learning.piece', 'bars']);
        DB::transaction(function () use ($stage, $relief): void {
            match ($relief) {
                Relief::Smaller => $this->smaller($stage),
                Relief::Slower => $stage->update(['tempo' => Relief::slower($stage->tempo ?? $stage->learning->ladder(null)->from)]),
                Relief::Rest => $stage->learning->update(['state' => 'resting']),
            };
            $tempo = $stage->tempo;
            if ($relief !== Relief::Rest && $tempo !== null) {
                $ranges = array_values($stage->load('bars')->bars->map(static fn (StageBars $of): array => [$of->first, $of->last])->all());
                $stage->update(['half_minutes' => TaskTime::ofBars($stage->learning->piece->score(), $ranges, $stage->repetitions, $tempo)]);
            }
            $stage->update(['relieved_after' => $stage->tasks()->max('id')]);
        });
    }

    private function smaller(Stage $stage): void
    {
        $measures = $stage->learning->piece->score()->measures;
        $halves = Relief::halves(array_values($stage->bars->sortBy('position')->map(static fn (StageBars $of): array => [$of->first, $of->last])->all()));
        $stage->bars()->delete();
        foreach ($halves as $position => [$first, $last]) {
            $stage->bars()->create([
                'studio_id' => $stage->studio_id, 'position' => $position, 'kind' => ChunkKind::Own->value, 'first' => $first, 'last' => $last,
                'from_place' => (string) $measures[$first]->place(Fraction::zero()), 'to_place' => (string) $measures[$last]->lastBeat(),
            ]);
        }
    }
}

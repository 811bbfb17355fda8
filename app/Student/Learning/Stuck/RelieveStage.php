<?php

declare(strict_types=1);

namespace App\Student\Learning\Stuck;

use App\Student\Learning\Stage;
use App\Student\Learning\StageBars;
use App\Student\Learning\StageTimes;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Pattern\ChunkKind;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\Relief;
use Nasturtium\Core\Score\Fraction;

/**
 * A stage that is stuck is done in smaller pieces, slower, or rests with its page; its misses up to now no longer count.
 * What it was before is kept, so that each relief can be taken back, the last one first.
 */
final class RelieveStage
{
    private const COLUMNS = ['tempo', 'half_minutes', 'half_minutes_first', 'relieved_after'];

    private const BARS = ['studio_id', 'position', 'kind', 'first', 'last', 'from_place', 'to_place'];

    public function __invoke(Stage $stage, Relief $relief): void
    {
        DB::transaction(function () use ($stage, $relief): void {
            $this->read($stage);
            $before = [...$stage->before_relief ?? [], $this->stateOf($stage)];
            match ($relief) {
                Relief::Smaller => $this->smaller($stage),
                Relief::Slower => $stage->update(['tempo' => Relief::slower($stage->tempo ?? $stage->learning->ladder(null)->from)]),
                Relief::Rest => $stage->learning->update(['state' => LearningState::Resting]),
            };
            $tempo = $stage->tempo;
            if ($relief !== Relief::Rest && $tempo !== null) {
                $times = StageTimes::at($stage->load('bars'), $stage->learning, $tempo);
                $stage->update(['half_minutes' => $times->later, 'half_minutes_first' => $times->first]);
            }
            $stage->update(['relieved_after' => $stage->tasks()->max('id'), 'before_relief' => $before]);
        });
    }

    /** Nothing where no relief is left. */
    public function takeBack(Stage $stage): void
    {
        DB::transaction(function () use ($stage): void {
            $this->read($stage);
            $before = $stage->before_relief ?? [];
            $last = array_pop($before);
            if ($last === null) {
                return;
            }
            $stage->bars()->delete();
            $stage->bars()->createMany($last['bars']);
            $stage->learning->update(['state' => $last['state']]);
            $stage->update([...$last['columns'], 'before_relief' => $before === [] ? null : $before]);
        });
    }

    private function read(Stage $stage): void
    {
        Stage::query()->whereKey($stage->id)->lockForUpdate()->first(['id']);
        $stage->refresh()->load(['learning.piece', 'learning.ladders', 'bars']);
    }

    /** @return array{columns: array<string, mixed>, state: string, bars: list<array<string, mixed>>} */
    private function stateOf(Stage $stage): array
    {
        return [
            'columns' => $stage->only(self::COLUMNS),
            'state' => $stage->learning->state->value,
            'bars' => array_values($stage->bars->map(static fn (StageBars $of): array => $of->only(self::BARS))->all()),
        ];
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

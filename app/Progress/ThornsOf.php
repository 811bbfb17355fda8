<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\English;
use App\Page\Piece\Piece;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Practice\ThornRate;
use Nasturtium\Core\Report\ThornBars;

/** How often what was heard in a studio went wrong at thorns, and how often elsewhere, over a year of lessons. */
final class ThornsOf
{
    /** Pieces whose thorns are worked out at one time; the others come the next time. */
    private const AT_ONCE = 30;

    public function __invoke(int $studio, CarbonImmutable $today): ThornsResource
    {
        $since = $today->subYear()->toDateString();
        $thorns = $this->thorns($studio, $since);
        $rate = new ThornRate();
        foreach ($this->heard($studio, $since) as $row) {
            $rate = isset($thorns[$row->piece_id]) ? $rate->heard($thorns[$row->piece_id], $row->first, $row->last, $row->times) : $rate;
        }
        foreach ($this->slips($studio, $since) as $row) {
            $rate = isset($thorns[$row->piece_id]) ? $rate->slipped($thorns[$row->piece_id], $row->first, $row->last, $row->times) : $rate;
        }

        return new ThornsResource($rate->slipsOn, $rate->barsOn, $rate->slipsElsewhere, $rate->barsElsewhere, $rate->ratio()?->toFloat(), English::text($rate->words()));
    }

    /** @return array<int, list<int>> indices of measures, by piece */
    private function thorns(int $studio, string $since): array
    {
        $pieces = DB::table('pieces')->whereExists(static fn ($learning) => $learning->from('learnings')->whereColumn('learnings.piece_id', 'pieces.id')->where('learnings.studio_id', $studio)->where(static fn ($of) => $of->whereNull('finished_on')->orWhere('finished_on', '>=', $since)))
            ->where('pieces.studio_id', $studio)->whereNotNull('pieces.music');
        foreach (Piece::query()->whereKey((clone $pieces)->whereNull('thorns')->limit(self::AT_ONCE)->pluck('id'))->get() as $piece) {
            DB::table('pieces')->where('id', $piece->id)->update(['thorns' => implode(',', ThornBars::of($piece->score()))]);
        }

        return $pieces->whereNotNull('thorns')->pluck('thorns', 'id')->map(static fn (string $of): array => $of === '' ? [] : array_map(intval(...), explode(',', $of)))->all();
    }

    /** @return Collection<int, \stdClass> bars of the tasks that have a mark, with how often */
    private function heard(int $studio, string $since): Collection
    {
        return DB::table('tasks')->join('weeks', 'weeks.id', '=', 'tasks.week_id')->join('learnings', 'learnings.id', '=', 'tasks.learning_id')->join('task_bars', 'task_bars.task_id', '=', 'tasks.id')
            // Found by their weeks: those of a year are a fifth of five.
            ->where('weeks.studio_id', $studio)->where('weeks.ends_on', '>=', $since)->whereNotNull('tasks.mark')->whereNull('tasks.deleted_at')
            ->groupBy('learnings.piece_id', 'task_bars.first', 'task_bars.last')->get(['learnings.piece_id', 'task_bars.first', 'task_bars.last', DB::raw('count(*) as times')]);
    }

    /** @return Collection<int, \stdClass> bars of slips, with how often */
    private function slips(int $studio, string $since): Collection
    {
        return DB::table('slips')->join('lessons', 'lessons.id', '=', 'slips.lesson_id')->join('tasks', 'tasks.id', '=', 'slips.task_id')->join('learnings', 'learnings.id', '=', 'tasks.learning_id')
            ->where('lessons.studio_id', $studio)->where('lessons.held_on', '>=', $since)
            ->groupByRaw('learnings.piece_id, slips.measure, coalesce(slips.last_measure, slips.measure)')->get([DB::raw('learnings.piece_id, slips.measure as first, coalesce(slips.last_measure, slips.measure) as last, count(*) as times')]);
    }
}

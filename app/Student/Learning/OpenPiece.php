<?php

declare(strict_types=1);

namespace App\Student\Learning;

use App\Page\Piece\Piece;
use App\Student\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Page\PlainPage;
use Nasturtium\Core\Path\Stage as CoreStage;
use Nasturtium\Core\Path\StageKind;
use Nasturtium\Core\Path\Stages;
use Nasturtium\Core\Pattern\Chunk;
use Nasturtium\Core\Practice\LearningState;

/** Opens a piece for a student: its stages on the student's path, kept with the bars they are done on. */
final class OpenPiece
{
    public function __invoke(Student $student, Piece $piece, CarbonImmutable $today): Learning
    {
        return DB::transaction(function () use ($student, $piece, $today): Learning {
            $learning = Learning::query()->firstOrCreate(
                ['student_id' => $student->id, 'piece_id' => $piece->id],
                ['studio_id' => $student->studio_id, 'path' => $student->path, 'path_id' => $student->path_id, 'state' => LearningState::Current, 'opened_on' => $today],
            );
            if ($learning->wasRecentlyCreated) {
                $this->stages($learning, $piece);
                StudentBooks::enter($student, (int) $piece->page()->value('book_id'));
            }

            return $learning;
        });
    }

    /**
     * Breaks a piece down again, when its music is corrected or its path is another. What did not change stays: a
     * stage keeps its marks, and stays passed unless what it works on is other music now. A stage that the path
     * leaves out is put by, so that it comes back with the path.
     */
    public function again(Learning $learning): void
    {
        DB::transaction(function () use ($learning): void {
            $this->stages($learning, $learning->piece);
            // What was neither passed nor ever set leaves no trace.
            $learning->allStages()->whereNull('position')->whereNull('passed_on')->whereDoesntHave('tasks')->delete();
            if ($learning->state === LearningState::Finished && $learning->stages()->whereNull('passed_on')->exists()) {
                $learning->update(['state' => LearningState::Current, 'finished_on' => null]);
            }
        });
    }

    private function stages(Learning $learning, Piece $piece): void
    {
        $learning->allStages()->update(['position' => null]);
        $kept = $learning->allStages()->with('bars')->get()->keyBy(static fn (Stage $stage): string => $stage->key());
        $made = [];
        $waits = [];
        $bars = [];
        if (! $piece->isTyped()) {
            $this->plain($learning, $piece);

            return;
        }
        foreach (Stages::of($piece->score(), $learning->way()) as $position => $stage) {
            $made[$position] = $this->stage($learning, $kept->get($stage->step->key()), $stage, $position);
            foreach ($stage->waitsFor as $earlier) {
                $waits[] = ['stage_id' => $made[$position]->id, 'waits_for_id' => $made[$earlier]->id];
            }
            foreach ($stage->chunks as $place => $chunk) {
                $bars[] = $this->bars($made[$position], $chunk, $place);
            }
        }
        $ids = array_map(static fn (Stage $stage): int => $stage->id, $made);
        DB::table('stage_waits')->whereIn('stage_id', $ids)->delete();
        StageBars::query()->whereIn('stage_id', $ids)->delete();
        DB::table('stage_waits')->insert($waits);
        StageBars::query()->insert($bars);
    }

    /** One step, from the book alone. */
    private function plain(Learning $learning, Piece $piece): void
    {
        $page = PlainPage::of($piece->page()->firstOrFail()->kind);
        $learning->allStages()->updateOrCreate(['kind' => StageKind::Own, 'name' => $page->name], [
            'studio_id' => $learning->studio_id, 'position' => 0, 'sentence' => $page->sentence, 'pass_mark' => $page->passMark, 'petal' => null, 'hand' => null,
            'content' => '', 'repetitions' => 1, 'tempo' => null, 'half_minutes' => $page->halfMinutes, 'half_minutes_first' => null,
        ]);
    }

    private function stage(Learning $learning, ?Stage $before, CoreStage $stage, int $position): Stage
    {
        $columns = [
            ...Stage::columnsOf($stage->step),
            'sentence' => $stage->sentence,
            'position' => $position,
            'content' => $stage->content,
            'repetitions' => $stage->repetitions,
            'tempo' => $stage->tempo,
            'half_minutes' => $stage->times->later,
            'half_minutes_first' => $stage->times->first,
        ];
        if ($before === null) {
            return Stage::query()->create(['studio_id' => $learning->studio_id, 'learning_id' => $learning->id, ...$columns]);
        }
        // Its bars are cut anew, so there is no relief to take back.
        $before->update([...$columns, 'passed_on' => $this->isSame($before, $stage) ? $before->passed_on : null, 'before_relief' => null]);

        return $before;
    }

    private function isSame(Stage $before, CoreStage $stage): bool
    {
        // Of a stage that was kept before its content was, only the bars are known.
        return $before->content === ''
            ? $before->bars->sortBy('position')->map(static fn (StageBars $bars): string => "{$bars->from_place} {$bars->to_place}")->values()->all() === array_map(static fn (Chunk $chunk): string => "{$chunk->from} {$chunk->to}", $stage->chunks)
            : $before->content === $stage->content;
    }

    /** @return array<string, mixed> */
    private function bars(Stage $stage, Chunk $chunk, int $place): array
    {
        return [
            'studio_id' => $stage->studio_id,
            'stage_id' => $stage->id,
            'position' => $place,
            'kind' => $chunk->kind->value,
            'first' => $chunk->first,
            'last' => $chunk->last,
            'from_place' => (string) $chunk->from,
            'to_place' => (string) $chunk->to,
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Learning;
use App\Models\Piece;
use App\Models\Stage;
use App\Models\StageBars;
use App\Models\Student;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Nasturtium\Core\Path\PathKind;
use Nasturtium\Core\Path\Stages;

/** Opens a piece for a student: its stages on the student's path, kept with the bars they are done on. */
final class OpenPiece
{
    public function __invoke(Student $student, Piece $piece, CarbonImmutable $today): Learning
    {
        return DB::transaction(function () use ($student, $piece, $today): Learning {
            $learning = Learning::query()->firstOrCreate(
                ['student_id' => $student->id, 'piece_id' => $piece->id],
                ['studio_id' => $student->studio_id, 'path' => $student->path, 'state' => 'current', 'opened_on' => $today],
            );
            if ($learning->wasRecentlyCreated) {
                $this->stages($learning, $piece);
            }

            return $learning;
        });
    }

    /** Breaks a corrected piece down again where nothing of it has passed and no week holds its stages. */
    public function again(Learning $learning): void
    {
        $begun = $learning->stages()->where(static fn ($stage) => $stage->whereNotNull('passed_on')->orWhereHas('tasks'))->exists();
        if (! $begun) {
            DB::transaction(function () use ($learning): void {
                $learning->stages()->delete();
                $this->stages($learning, $learning->piece);
            });
        }
    }

    private function stages(Learning $learning, Piece $piece): void
    {
        $made = [];
        $waits = [];
        $bars = [];
        foreach (Stages::of($piece->score(), PathKind::from($learning->path)) as $position => $stage) {
            $made[$position] = Stage::query()->create([
                'studio_id' => $learning->studio_id,
                'learning_id' => $learning->id,
                'position' => $position,
                'kind' => $stage->kind->value,
                'repetitions' => $stage->repetitions,
                'tempo' => $stage->tempo,
                'half_minutes' => $stage->halfMinutes,
            ]);
            foreach ($stage->waitsFor as $earlier) {
                $waits[] = ['stage_id' => $made[$position]->id, 'waits_for_id' => $made[$earlier]->id];
            }
            foreach ($stage->chunks as $place => $chunk) {
                $bars[] = [
                    'studio_id' => $learning->studio_id,
                    'stage_id' => $made[$position]->id,
                    'position' => $place,
                    'kind' => $chunk->kind->value,
                    'first' => $chunk->first,
                    'last' => $chunk->last,
                    'from_place' => (string) $chunk->from,
                    'to_place' => (string) $chunk->to,
                ];
            }
        }
        DB::table('stage_waits')->insert($waits);
        StageBars::query()->insert($bars);
    }
}

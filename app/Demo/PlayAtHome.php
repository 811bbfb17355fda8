<?php

declare(strict_types=1);

namespace App\Demo;

use App\Listening\Judged;
use App\Page\Piece\Piece;
use App\Student\Student;
use App\Week\Practice;
use App\Week\TaskBars;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Performance\Hearing\Hear;
use Nasturtium\Core\Performance\Hearing\Source;
use Nasturtium\Core\Performance\Hearing\TakeFile;
use Nasturtium\Core\Performance\Hearing\Trial\InventTake;
use Nasturtium\Core\Performance\Hearing\Trial\TakeKind;
use Nasturtium\Core\Performance\Hearing\WrittenMusic;
use Nasturtium\Core\Score\Hand;

/** Two weeks of playing at home that was heard: most takes with faults of one sort or several, some clean. */
final class PlayAtHome
{
    private const DAYS = 14;

    /** Of a hundred tasks that were ticked. */
    private const HEARD = 60;

    private const FAULTS = [TakeKind::Mixed, TakeKind::Wrong, TakeKind::Mixed, TakeKind::Stall, TakeKind::Clean];

    public function __construct(private readonly Chance $chance) {}

    public function __invoke(Student $student, CarbonImmutable $today): void
    {
        $ticked = Practice::query()->where('student_id', $student->id)->where('on_date', '>=', $today->subDays(self::DAYS)->toDateString())
            ->with(['task.bars', 'task.stage', 'task.learning.piece'])->orderBy('on_date')->orderBy('id')->get();
        $rows = [];
        foreach ($ticked as $practice) {
            $task = $practice->task;
            $piece = $task->learning?->piece;
            $bars = $task->bars->sortBy('position')->first();
            if ($piece !== null && $piece->isTyped() && $bars instanceof TaskBars && TaskSign::of($task->kind, $task->stage?->kind)->isPlayed() && $this->chance->happens(self::HEARD)) {
                $take = $this->take($piece, $bars, $task->hand, $practice->on_date);
                array_push($rows, ...$take === [] ? [] : [['studio_id' => $student->studio_id, 'student_id' => $student->id, 'task_id' => $task->id, ...$take]]);
            }
        }
        DB::table('takes')->insert($rows);
    }

    /** @return array<string, int|string> empty where the hand rests in those bars */
    private function take(Piece $piece, TaskBars $bars, ?Hand $hand, CarbonImmutable $day): array
    {
        $music = WrittenMusic::of($piece->score(), [$bars->first, $bars->last], $hand);
        if ($music->moments === []) {
            return [];
        }
        $taken = InventTake::of($music, $this->chance->oneOf(self::FAULTS), crc32("{$piece->id} {$bars->first} {$day->toDateString()}"))->taken;

        return [
            'client_key' => (string) Str::uuid(), 'first' => $bars->first, 'last' => $bars->last, 'source' => Source::Keyboard->value,
            'taken_at' => $day->setTime(16, 0)->toDateTimeString(), 'on_date' => $day->toDateString(), 'notes' => TakeFile::of($taken),
            'judged' => Judged::of(Hear::take($music, $taken), $piece->revision)->json(),
        ];
    }
}

<?php

declare(strict_types=1);

namespace App\Week\Proposal;

use App\Http\English;
use App\Student\Learning\Learning;
use App\Student\Learning\Stage;
use App\Student\Performances\Performance;
use App\Week\Task;
use Illuminate\Database\Eloquent\Collection;
use Nasturtium\Core\Page\PlainPage;
use Nasturtium\Core\Practice\Concert;
use Nasturtium\Core\Practice\TaskClass;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\TaskTimes;

/** In the two weeks before a performance: each of its pieces whole, and a run as at the concert (trade 11.5). */
final class ProposePerformances
{
    /** @return list<int> ids of the pieces that are played whole, and need no review */
    public function __invoke(TaskWriter $writer): array
    {
        $week = $writer->week;
        // A week that begins on the day of the concert has nothing to prepare.
        $near = Performance::query()->where('student_id', $week->student_id)->where('on_date', '>', $week->starts_on->toDateString())
            ->with(['pieces.piece.page', 'pieces.ladders', 'pieces.stages' => static fn ($stages) => $stages->with('bars')->orderBy('position')])->orderBy('on_date')->get()
            ->filter(static fn (Performance $performance): bool => Concert::from($performance->on_date) < $week->ends_on);
        $played = [];
        foreach ($near as $performance) {
            $this->run($writer, $performance);
            foreach ($performance->pieces as $learning) {
                if (! in_array($learning->id, $played, true)) {
                    $this->whole($writer, $performance, $learning);
                    $played[] = $learning->id;
                }
            }
        }

        return $played;
    }

    private function run(TaskWriter $writer, Performance $performance): void
    {
        $times = array_values($performance->pieces->map(static fn (Learning $learning): int => self::once($learning, TaskClass::Review)->later)->all());
        $titles = array_values($performance->pieces->map(static fn (Learning $learning): string => $learning->piece->title)->all());
        self::before($performance, $writer->work(TaskKind::Stage, Concert::RUN, Concert::runWords($titles), TaskTimes::always(Concert::runTime($times)), [
            'performance_id' => $performance->id,
            'why' => self::why($performance),
        ]));
    }

    private function whole(TaskWriter $writer, Performance $performance, Learning $learning): void
    {
        $task = $writer->work(TaskKind::Stage, Concert::WHOLE, Concert::WHOLE_WORDS, self::once($learning, TaskClass::Playing), [
            'performance_id' => $performance->id,
            'learning_id' => $learning->id,
            'tempo' => self::tempo($learning),
            'why' => self::why($performance),
        ]);
        $writer->bars($task, $learning->stages->last()->bars ?? new Collection());
        self::before($performance, $task);
    }

    /** Nothing of it stands on the day itself, or after it. */
    private static function before(Performance $performance, Task $task): void
    {
        $week = $task->week;
        for ($day = $performance->on_date; $day < $week->ends_on; $day = $day->addDay()) {
            $task->daysOff()->create(['studio_id' => $task->studio_id, 'on_date' => $day->toDateString()]);
        }
    }

    private static function once(Learning $learning, TaskClass $class): TaskTimes
    {
        $tempo = self::tempo($learning);
        if ($tempo === null) {
            return TaskTimes::always(PlainPage::of($learning->piece->page->kind)->halfMinutes);
        }
        $score = $learning->piece->score();
        $times = TaskTimes::ofBars($score, [[0, count($score->measures) - 1]], $class, 1, [$tempo]);

        // It was played before: nothing of it is a first day.
        return TaskTimes::always($times->later);
    }

    /** The tempo of the furthest stage that passed; of a page that is new, that of the first that has one. */
    private static function tempo(Learning $learning): ?int
    {
        if (! $learning->piece->isTyped()) {
            return null;
        }
        $with = $learning->stages->filter(static fn (Stage $stage): bool => $stage->tempo !== null);

        return ($with->last(static fn (Stage $stage): bool => $stage->passed_on !== null) ?? $with->first())->tempo ?? $learning->ladder(null)->from;
    }

    private static function why(Performance $performance): string
    {
        return "{$performance->title}, ".English::shortDay($performance->on_date);
    }
}

<?php

declare(strict_types=1);

namespace App\Week\Proposal;

use App\Student\KnowNotes;
use App\Student\Learning\Learning;
use App\Student\Learning\Stage;
use App\Student\Learning\StageTimes;
use App\Week\Task;
use Illuminate\Database\Eloquent\Collection;
use Nasturtium\Core\Page\PlainPage;
use Nasturtium\Core\Path\AskedStages;
use Nasturtium\Core\Path\ByLine;
use Nasturtium\Core\Path\StageTempo;
use Nasturtium\Core\Practice\HeardTempo;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\TaskKind;
use Nasturtium\Core\Practice\WarmUp;
use Nasturtium\Core\Reading\ShakierHand;
use Nasturtium\Core\Score\Hand;

/** The stages of a page that are asked in a week, at the tempo each of them goes on at. */
final class ProposeStages
{
    public function __construct(private readonly KnowNotes $know) {}

    public function __invoke(TaskWriter $writer, Learning $learning): void
    {
        $stages = $learning->stages->sortBy('position')->values();
        $asked = AskedStages::of($stages->map(static fn (Stage $stage): array => [$stage->kind, $stage->passed_on !== null])->all());
        $open = $stages->filter(static fn (Stage $stage, int $at): bool => in_array($at, $asked, true));
        $before = Task::query()->whereIn('stage_id', $open->modelKeys())->where('week_id', '!=', $writer->week->id)->whereNotNull('mark')->orderBy('week_id')->get()->groupBy('stage_id');
        $first = $this->handFirst($writer, $learning, $open);
        $byLine = self::byLine($writer, $learning, $open);
        foreach ($open as $stage) {
            $tasks = $before->get($stage->id, new Collection());
            if ($byLine !== null && $byLine->divides($stage->kind, $stage->bars->count())) {
                $this->lines($writer, $learning, $stage, $byLine, $tasks, $first);
            } else {
                $this->whole($writer, $learning, $stage, $tasks, $first);
            }
        }
    }

    /** @param Collection<int, Task> $heard tasks of the stage with a mark, whole or by line, in order */
    private function whole(TaskWriter $writer, Learning $learning, Stage $stage, Collection $heard, ?Hand $first): void
    {
        $kind = $learning->piece->isTyped() ? TaskKind::Stage : PlainPage::of($learning->piece->page->kind)->kind;
        $of = self::columns($learning, $stage, $heard, $first, 'the next stage');
        $times = StageTimes::of($stage, $learning, $of['tempo']);
        $task = $kind === TaskKind::Theory
            ? $writer->always($kind, ucfirst($stage->title()), $stage->instruction(), $times->later, $of)
            : $writer->work($kind, ucfirst($stage->title()), $stage->instruction(), $times, $of);
        $writer->bars($task, $stage->bars);
    }

    /** @param Collection<int, Task> $before tasks of the stage with a mark, whole or by line, in order */
    private function lines(TaskWriter $writer, Learning $learning, Stage $stage, ByLine $byLine, Collection $before, ?Hand $first): void
    {
        $passed = array_values($before->where('mark', LessonVerdict::Pass)->pluck('line')->filter()->all());
        $measures = $learning->piece->score()->measures;
        foreach ($byLine->asked($stage->kind, StageTimes::ranges($stage), $passed) as $part) {
            // What was heard of the whole was heard of the line.
            $heard = $before->filter(static fn (Task $task): bool => $task->line === null || $task->line === $part->line);
            $of = self::columns($learning, $stage, $heard, $first, 'the next line');
            $task = $writer->work(
                TaskKind::Stage,
                ucfirst($stage->title()).", line {$part->line}",
                $stage->instruction(),
                $byLine->times($stage->kind, $part, $stage->repetitions, $of['tempo']),
                [...$of, 'line' => $part->line, 'of_lines' => $part->of],
            );
            $writer->ranges($task, $part->ranges, $measures);
        }
    }

    /**
     * @param  Collection<int, Task>  $tasks  with a mark, in order
     * @return array{learning_id: int, stage_id: int, hand: ?string, leads: bool, repetitions: int, tempo: ?int, is_new: bool, why: string}
     */
    private static function columns(Learning $learning, Stage $stage, Collection $tasks, ?Hand $first, string $next): array
    {
        $heard = array_values($tasks->map(static fn (Task $task): HeardTempo => new HeardTempo($task->mark ?? LessonVerdict::Again, $task->tempo, $task->tempo_reached))->all());
        $ladder = $learning->ladders->isEmpty() && $heard === [] ? null : $learning->ladder($stage->aloneHand());

        return [
            'learning_id' => $learning->id,
            'stage_id' => $stage->id,
            'hand' => $stage->aloneHand()?->value,
            'leads' => $first !== null && $stage->aloneHand() === $first,
            'repetitions' => $stage->repetitions,
            'tempo' => $stage->tempo === null ? null : StageTempo::next($stage->kind, $stage->tempo, $ladder, $heard),
            'is_new' => $heard === [],
            'why' => $heard === [] ? $next : 'not passed yet',
        ];
    }

    /** @param Collection<int, Stage> $open */
    private static function byLine(TaskWriter $writer, Learning $learning, Collection $open): ?ByLine
    {
        if (! $learning->piece->isTyped()) {
            return null;
        }
        $byLine = ByLine::on($learning->piece->score(), $learning->ladder(null), $writer->practiceMinutes(), WarmUp::HALF_MINUTES);
        $isLong = $open->contains(static fn (Stage $stage): bool => $byLine->isTooLong($stage->kind, $writer->atPace(StageTimes::of($stage, $learning, null)), $stage->bars->count()));

        return $isLong ? $byLine : null;
    }

    /**
     * The hand that needs more goes first in the day, where both have something to do.
     *
     * @param  Collection<int, Stage>  $open
     */
    private function handFirst(TaskWriter $writer, Learning $learning, Collection $open): ?Hand
    {
        $hands = $open->map(static fn (Stage $stage): ?string => $stage->aloneHand()?->value)->filter()->unique();
        if ($hands->count() < 2) {
            return null;
        }
        $student = $writer->week->student;
        $known = ($this->know)($student, $learning->piece, $this->know->learnings($student), $writer->week->starts_on);

        return ShakierHand::of($learning->piece->score(), $known);
    }
}

<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Student\Learning\Learning;
use App\Student\Learning\Stage;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Nasturtium\Core\Practice\HeardLines;
use Nasturtium\Core\Practice\HeardPage;
use Nasturtium\Core\Practice\HeardStage;
use Nasturtium\Core\Practice\LearningState;
use Nasturtium\Core\Practice\TaskKind;

/** A week as it is heard, a card for each page and for whatever is on none; and the pages that were opened at the lesson. */
final class LessonCards
{
    /** @return list<LessonCardResource> warm-up, pages as they were set, reviews, what is on no page, new pages */
    public static function of(Lesson $lesson): array
    {
        return self::cards($lesson, null);
    }

    public static function one(Lesson $lesson, int $learning): LessonCardResource
    {
        return self::cards($lesson, $learning)[0] ?? throw new \LogicException('the page was marked');
    }

    /**
     * @param  ?int  $only  one page
     * @return list<LessonCardResource>
     */
    private static function cards(Lesson $lesson, ?int $only): array
    {
        $tasks = $lesson->week_id === null ? [] : HeardTasks::ofWeek($lesson->week_id);
        [$byPage, $warmUps, $current, $reviews, $others, $new] = [[], [], [], [], [], []];
        foreach ($tasks as $task) {
            if ($task->learningId !== null) {
                $byPage[$task->learningId][] = $task;
            } elseif ($only === null) {
                $task->kind === TaskKind::WarmUp ? $warmUps[] = self::single($task) : $others[] = self::single($task);
            }
        }
        $learnings = self::learnings($lesson, $only === null ? array_keys($byPage) : [$only], $only === null);
        $marks = PageMark::query()->where('lesson_id', $lesson->id)->get()->keyBy('learning_id');
        foreach ($learnings as $learning) {
            $card = self::page($lesson, $learning, $byPage[$learning->id] ?? [], $marks->get($learning->id));
            match (true) {
                $card->isNew => $new[] = $card,
                $card->kind === TaskKind::Review => $reviews[] = $card,
                default => $current[] = $card,
            };
        }

        return [...$warmUps, ...$current, ...$reviews, ...$others, ...$new];
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, Learning> in the order they were opened
     */
    private static function learnings(Lesson $lesson, array $ids, bool $withNew): Collection
    {
        $learnings = Learning::query()->where('student_id', $lesson->student_id)
            ->where(static fn ($of) => $of->whereKey($ids)->when($withNew, static fn ($new) => self::orNew($new, $lesson)))
            ->with(['piece' => static fn ($piece) => $piece->select(['id', 'page_id', 'title', 'measures']), 'piece.page.book', 'stages' => static fn ($stages) => $stages->orderBy('position')]);
        $learnings->orderBy('opened_on')->orderBy('id');

        return $learnings->get();
    }

    /**
     * Pages that were opened for this lesson: on its day, or since, and no plan has had them yet; and those that are marked at it.
     *
     * @param  Builder<Learning>  $pages
     */
    private static function orNew(Builder $pages, Lesson $lesson): void
    {
        $pages->orWhere('opened_on', $lesson->held_on->toDateString())
            ->orWhereIn('id', PageMark::query()->where('lesson_id', $lesson->id)->select('learning_id'));
        if ($lesson->finished_at === null) {
            $pages->orWhere(static fn ($new) => $new->where('state', LearningState::Current)->whereDoesntHave('tasks'));
        }
    }

    /** @param list<HeardTaskResource> $tasks */
    private static function page(Lesson $lesson, Learning $learning, array $tasks, ?PageMark $mark): LessonCardResource
    {
        $byStage = [];
        foreach ($tasks as $task) {
            $byStage[$task->stageId ?? 0][] = $task;
        }
        $isReview = $tasks !== [] && array_filter($tasks, static fn (HeardTaskResource $task): bool => $task->kind !== TaskKind::Review) === [];
        $stages = $isReview ? [] : array_values($learning->stages->map(static fn (Stage $stage): HeardStage => self::heard($stage, $byStage[$stage->id] ?? [], $lesson))->all());
        $heard = new HeardPage($stages);

        return new LessonCardResource(
            "page {$learning->id}",
            $isReview ? TaskKind::Review : TaskKind::Stage,
            $learning->id,
            $learning->piece->isTyped() ? $learning->piece_id : null,
            $learning->piece->title,
            $learning->piece->page->inBook(),
            $tasks === [] && $learning->state !== LearningState::Finished,
            $tasks !== [] && self::isFolded($tasks),
            $mark->mark ?? ($isReview ? $tasks[0]->mark : null),
            $isReview ? [] : array_values($learning->stages->map(static fn (Stage $stage): LessonStepResource => self::step($stage, $byStage[$stage->id] ?? []))->all()),
            $mark->stage_id ?? $heard->heard(),
            $heard->together(),
            $tasks,
        );
    }

    /** @param list<HeardTaskResource> $tasks of the stage: one, or one for each line */
    private static function heard(Stage $stage, array $tasks, Lesson $lesson): HeardStage
    {
        // What passed at this lesson is heard again when its mark is another.
        $before = $stage->passed_on !== null && ! $stage->passed_on->equalTo($lesson->held_on);

        return new HeardStage($stage->id, $before, array_sum(array_column($tasks, 'days')) > 0, array_merge(...array_column($tasks, 'practices')) !== [], $stage->kind->isPreparation());
    }

    /** @param list<HeardTaskResource> $tasks of the stage */
    private static function step(Stage $stage, array $tasks): LessonStepResource
    {
        // Its lines stand in their order.
        $task = $tasks[HeardLines::heard(array_map(static fn (HeardTaskResource $task): bool => $task->practices !== [], $tasks)) ?? 0] ?? null;

        return new LessonStepResource(
            $stage->id,
            $stage->title(),
            $stage->instruction(),
            $stage->opens(),
            $stage->aloneHand(),
            $stage->passed_on !== null,
            $task?->id,
            array_sum(array_column($tasks, 'days')),
            count(array_merge(...array_column($tasks, 'practices'))),
        );
    }

    private static function single(HeardTaskResource $task): LessonCardResource
    {
        return new LessonCardResource("task {$task->id}", $task->kind, null, null, $task->title, '', false, self::isFolded([$task]), $task->mark, [], null, null, [$task]);
    }

    /** @param list<HeardTaskResource> $tasks */
    private static function isFolded(array $tasks): bool
    {
        return array_filter($tasks, static fn (HeardTaskResource $task): bool => $task->days > 0 || $task->practices !== []) === [];
    }
}

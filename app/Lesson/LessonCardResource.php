<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Api\ListOf;
use Nasturtium\Core\Practice\LessonVerdict;
use Nasturtium\Core\Practice\TaskKind;
use OpenApi\Attributes as OA;

/** What is heard as one thing at a lesson: a page with its stages, or a warm-up, a drill, a theory page. */
#[OA\Schema]
final readonly class LessonCardResource
{
    /**
     * @param  string  $key  names the card within its lesson
     * @param  TaskKind  $kind  stage for a page that is learnt, review for one that comes back
     * @param  string  $page  book and page number; empty for what is on none
     * @param  bool  $isNew  opened at this lesson
     * @param  bool  $folded  nothing of it had a day or was practised
     * @param  list<LessonStepResource>  $steps  in the order of the path; none for a review
     * @param  ?int  $heardId  the stage that is heard, or was
     * @param  ?int  $togetherId  the last stage that can be done together at this lesson
     * @param  list<HeardTaskResource>  $tasks  of the week that is heard
     */
    public function __construct(
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public TaskKind $kind,
        #[OA\Property]
        public ?int $learningId,
        #[OA\Property]
        public ?int $pieceId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $page,
        #[OA\Property]
        public bool $isNew,
        #[OA\Property]
        public bool $folded,
        #[OA\Property]
        public ?LessonVerdict $mark,
        #[ListOf(LessonStepResource::class)]
        public array $steps,
        #[OA\Property]
        public ?int $heardId,
        #[OA\Property]
        public ?int $togetherId,
        #[ListOf(HeardTaskResource::class)]
        public array $tasks,
    ) {}
}

<?php

declare(strict_types=1);

namespace App\Lesson;

use Nasturtium\Core\Path\Petal;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A stage of a page at the lesson. */
#[OA\Schema]
final readonly class LessonStepResource
{
    /**
     * @param  bool  $passed  before this lesson, or at it
     * @param  ?int  $taskId  of the week that is heard
     * @param  int  $days  it was set on
     * @param  int  $practised  days it was ticked on
     */
    public function __construct(
        #[OA\Property]
        public int $stageId,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $instruction,
        #[OA\Property]
        public ?Petal $petal,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public bool $passed,
        #[OA\Property]
        public ?int $taskId,
        #[OA\Property]
        public int $days,
        #[OA\Property]
        public int $practised,
    ) {}
}

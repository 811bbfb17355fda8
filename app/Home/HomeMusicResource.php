<?php

declare(strict_types=1);

namespace App\Home;

use App\Api\ListOf;
use App\Desk\PageWordResource;
use App\Desk\QuestionResource;
use OpenApi\Attributes as OA;

/** The music of a task and its parts; none for a task without a piece. */
#[OA\Schema]
final readonly class HomeMusicResource
{
    /**
     * @param  list<HomePartResource>  $parts
     * @param  list<HomeNoteResource>  $notes
     * @param  list<int>  $rungs  of the tempo ladder
     * @param  list<PageWordResource>  $words
     * @param  list<QuestionResource>  $questions  about the page, after it was looked over
     */
    public function __construct(
        #[OA\Property]
        public int $taskId,
        #[OA\Property]
        public ?string $music,
        #[ListOf(HomePartResource::class)]
        public array $parts,
        #[ListOf(HomeNoteResource::class)]
        public array $notes,
        #[ListOf('integer')]
        public array $rungs,
        #[ListOf(PageWordResource::class)]
        public array $words,
        #[ListOf(QuestionResource::class)]
        public array $questions,
    ) {}
}

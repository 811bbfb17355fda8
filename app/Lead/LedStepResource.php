<?php

declare(strict_types=1);

namespace App\Lead;

use App\Api\ListOf;
use App\Listening\TakeResource;
use Nasturtium\Core\Home\TaskSign;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A step of a make-up lesson as the teacher put it, and what was heard in it. */
#[OA\Schema]
final readonly class LedStepResource
{
    /** @param list<TakeResource> $takes */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public ?int $stageId,
        #[OA\Property]
        public ?int $learningId,
        #[OA\Property]
        public ?int $first,
        #[OA\Property]
        public ?int $last,
        #[OA\Property(description: 'its page and bars, in words')]
        public string $where,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public ?int $tempo,
        #[OA\Property]
        public TaskSign $sign,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public int $halfMinutes,
        #[OA\Property]
        public bool $hasVoice,
        #[ListOf(TakeResource::class)]
        public array $takes,
    ) {}
}

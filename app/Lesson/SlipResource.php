<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Http\English;
use Nasturtium\Core\Practice\Slip as SlipKind;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A slip heard at a lesson. */
#[OA\Schema]
final readonly class SlipResource
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $taskId,
        #[OA\Property]
        public SlipKind $kind,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public int $measure,
        #[OA\Property]
        public int $last,
        #[OA\Property]
        public ?string $clientKey,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public ?Hand $hand,
    ) {}

    public static function of(Slip $slip): self
    {
        return new self($slip->id, $slip->task_id, $slip->kind, $slip->kind->words(), $slip->measure, $slip->last_measure ?? $slip->measure, $slip->client_key, English::text($slip->place), $slip->hand);
    }
}

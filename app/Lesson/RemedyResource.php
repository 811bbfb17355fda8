<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Http\English;
use App\Student\Learning\Learning;
use Nasturtium\Core\Practice\Remedy;
use Nasturtium\Core\Practice\Slip;
use Nasturtium\Core\Score\BarRange;
use Nasturtium\Core\Score\Hand;
use OpenApi\Attributes as OA;

/** A remedy that next week will have, and why. */
#[OA\Schema]
final readonly class RemedyResource
{
    public function __construct(
        #[OA\Property]
        public Slip $kind,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $instruction,
        #[OA\Property]
        public string $piece,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public ?Hand $hand,
        #[OA\Property]
        public int $tempo,
        #[OA\Property]
        public float $minutes,
        #[OA\Property]
        public string $why,
    ) {}

    public static function of(Learning $learning, Remedy $remedy): self
    {
        return new self(
            $remedy->kind,
            $remedy->kind->title(),
            English::text($remedy->kind->remedy()),
            $learning->piece->title,
            English::text(BarRange::between($remedy->from, $remedy->to)->words()),
            $remedy->hand,
            $remedy->tempo,
            $remedy->halfMinutes / 2,
            English::text($remedy->why),
        );
    }
}

<?php

declare(strict_types=1);

namespace App\Lesson;

use App\Http\English;
use Nasturtium\Core\Practice\Slip;
use OpenApi\Attributes as OA;

/** A kind of slip, with what is done about it. */
#[OA\Schema]
final readonly class SlipKindResource
{
    public function __construct(
        #[OA\Property]
        public Slip $kind,
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public string $words,
        #[OA\Property]
        public string $remedy,
        #[OA\Property]
        public string $title,
    ) {}

    public static function of(Slip $slip): self
    {
        return new self($slip, $slip->key(), $slip->words(), English::text($slip->remedy()), $slip->title());
    }
}

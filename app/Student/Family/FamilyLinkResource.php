<?php

declare(strict_types=1);

namespace App\Student\Family;

use App\Api\ListOf;
use App\Student\Student;
use OpenApi\Attributes as OA;

/** A family link; its token is told once, when it is made. */
#[OA\Schema]
final readonly class FamilyLinkResource
{
    /** @param list<HomeChildResource> $siblings */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public ?string $expiresOn,
        #[OA\Property]
        public bool $withdrawn,
        #[OA\Property]
        public ?string $usedAt,
        #[OA\Property]
        public ?string $url,
        #[ListOf(HomeChildResource::class)]
        public array $siblings,
    ) {}

    public static function of(FamilyLink $link, ?string $token = null): self
    {
        return new self(
            $link->id,
            $link->label,
            $link->expires_on?->toDateString(),
            $link->withdrawn_at !== null,
            $link->used_at?->toIso8601String(),
            $token === null ? null : url("/home/{$token}"),
            array_values($link->siblings->map(static fn (Student $child): HomeChildResource => new HomeChildResource($child->id, $child->first_name))->all()),
        );
    }
}

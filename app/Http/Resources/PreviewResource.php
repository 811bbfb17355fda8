<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** What has been typed so far, engraved and checked. */
#[OA\Schema]
final readonly class PreviewResource
{
    /**
     * @param  list<ShorthandErrorResource>  $errors
     * @param  list<CheckResource>  $checks
     */
    public function __construct(
        #[OA\Property]
        public ?string $music,
        #[OA\Property]
        public int $measures,
        #[ListOf(ShorthandErrorResource::class)]
        public array $errors,
        #[ListOf(CheckResource::class)]
        public array $checks,
    ) {}
}

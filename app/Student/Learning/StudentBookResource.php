<?php

declare(strict_types=1);

namespace App\Student\Learning;

use OpenApi\Attributes as OA;

/** A book that a student is in, and where. */
#[OA\Schema]
final readonly class StudentBookResource
{
    /**
     * @param  ?string  $at  the furthest page that was opened, as `p. 12`; null before the first
     * @param  int  $opened  pieces
     * @param  ?NextPageResource  $next  null at its end
     */
    public function __construct(
        #[OA\Property]
        public int $bookId,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public ?string $at,
        #[OA\Property]
        public int $opened,
        #[OA\Property]
        public ?NextPageResource $next,
    ) {}
}

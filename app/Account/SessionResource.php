<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

/** Who is signed in, and to what studio. */
#[OA\Schema]
final readonly class SessionResource
{
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public StudioResource $studio,
    ) {}

    public static function of(User $user): self
    {
        return new self($user->name, $user->email, StudioResource::of($user->studio));
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Members;

use OpenApi\Attributes as OA;

/** An invitation, as whoever has its link sees it. */
#[OA\Schema]
final readonly class InvitationResource
{
    /**
     * @param  bool  $isKnown  there is an account with its address already
     * @param  ?string  $signedIn  the address of whoever is signed in on this device
     */
    public function __construct(
        #[OA\Property]
        public string $studio,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public Role $role,
        #[OA\Property]
        public bool $isKnown,
        #[OA\Property]
        public ?string $signedIn,
    ) {}
}

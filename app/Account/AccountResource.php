<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

/** The account of whoever is signed in. */
#[OA\Schema]
final readonly class AccountResource
{
    /**
     * @param  ?string  $newEmail  that waits for its mail to be answered
     * @param  ?int  $codesLeft  recovery codes; null without a second step
     */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public ?string $newEmail,
        #[OA\Property]
        public ?int $codesLeft,
    ) {}

    public static function of(User $user): self
    {
        return new self($user->name, $user->email, $user->new_email, $user->second_since === null ? null : count($user->recovery_codes ?? []));
    }
}

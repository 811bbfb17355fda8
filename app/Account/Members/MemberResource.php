<?php

declare(strict_types=1);

namespace App\Account\Members;

use OpenApi\Attributes as OA;

/** Somebody of a studio, or whoever is invited into it. */
#[OA\Schema]
final readonly class MemberResource
{
    /**
     * @param  bool  $isYou  whoever asks
     * @param  bool  $hasJoined  the invitation was accepted
     * @param  ?string  $invitedUntil  a date; null once accepted, or when the link is too old
     * @param  ?string  $token  of the invitation, once
     */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public Role $role,
        #[OA\Property]
        public bool $isYou,
        #[OA\Property]
        public bool $hasJoined,
        #[OA\Property]
        public ?string $invitedUntil,
        #[OA\Property]
        public int $students,
        #[OA\Property]
        public ?string $token,
    ) {}

    public static function of(Membership $member, Membership $asking, ?string $token = null): self
    {
        return new self(
            $member->id,
            $member->name,
            $member->email,
            $member->role,
            $member->id === $asking->id,
            $member->user_id !== null,
            $member->invited_until?->isFuture() === true ? $member->invited_until->toDateString() : null,
            $member->students_count ?? 0,
            $token,
        );
    }
}

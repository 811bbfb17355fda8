<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Members\Membership;
use App\Account\Members\PlaceResource;
use App\Account\Members\Role;
use App\Api\ListOf;
use Illuminate\Auth\AuthenticationException;
use OpenApi\Attributes as OA;

/** Who is signed in, where, and as what. */
#[OA\Schema]
final readonly class SessionResource
{
    /**
     * @param  int  $memberId  of whoever is signed in, in this studio
     * @param  list<PlaceResource>  $studios  all that she belongs to
     */
    public function __construct(
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property]
        public int $memberId,
        #[OA\Property]
        public Role $role,
        #[OA\Property]
        public bool $isDemo,
        #[ListOf(PlaceResource::class)]
        public array $studios,
        #[OA\Property]
        public StudioResource $studio,
    ) {}

    /** Needs the studio, and the memberships with theirs. */
    public static function of(User $user): self
    {
        $member = $user->membership() ?? throw new AuthenticationException();

        return new self($user->name, $user->email, $member->id, $member->role, $user->studio->is_demo, array_values($user->memberships->map(
            static fn (Membership $of): PlaceResource => new PlaceResource($of->studio_id, $of->studio->name, $of->role, $of->studio->is_demo),
        )->all()), StudioResource::of($user->studio));
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Account\CurrentStudio;
use App\Account\Letters\Letter;
use App\Account\User;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Patch;
use App\Api\Post;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\ValidationException;

/** Who belongs to a studio. */
final class MembersController
{
    private const MOST = 60;

    public function __construct(private readonly CurrentStudio $studio) {}

    #[Get('/members', MemberResource::class, many: true)]
    public function index(): JsonResponse
    {
        $studio = $this->studio->get();
        $members = Membership::query()->where('studio_id', $studio->id)->withCount('students')->orderBy('id')->get();
        // Whoever leads the studio has those too that nobody was named for.
        $lead = $members->firstWhere('role', Role::Owner);
        $lead?->setAttribute('students_count', (int) $lead->students_count + $studio->students()->whereNull('membership_id')->count());

        return new JsonResponse($members->map(fn (Membership $member): MemberResource => MemberResource::of($member, $this->studio->member())));
    }

    /** The link goes by mail, and is shown once. */
    #[Post('/members', MemberResource::class)]
    public function store(MemberRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $studio = $this->studio->get();
        $email = $request->string('email')->toString();
        $members = Membership::query()->where('studio_id', $studio->id)->lockForUpdate()->pluck('email');
        if ($members->contains(static fn (string $of): bool => mb_strtolower($of) === mb_strtolower($email))) {
            throw ValidationException::withMessages(['email' => 'Somebody with this address is in the studio already, or invited.']);
        }
        if ($members->count() >= self::MOST) {
            throw ValidationException::withMessages(['email' => sprintf('A studio has %d people at most. Take somebody out first.', self::MOST)]);
        }
        $member = Membership::query()->create(['studio_id' => $studio->id, 'role' => $request->enum('role', Role::class), 'name' => $request->string('name')->trim()->toString(), 'email' => $email]);

        return $this->invite($member, $user);
    }

    /** A new link; the one of before opens nothing any more. */
    #[Post('/members/{member}/invitation', MemberResource::class)]
    public function again(Membership $member, #[CurrentUser] User $user): JsonResponse
    {
        if ($member->user_id !== null) {
            throw ValidationException::withMessages(['member' => "{$member->name} is in the studio already."]);
        }

        return $this->invite($member, $user);
    }

    /** A studio is led by one: whoever hands it over is a teacher of it from then on. */
    #[Patch('/members/{member}', MemberResource::class)]
    public function update(RoleRequest $request, Membership $member): JsonResponse
    {
        $role = $request->enum('role', Role::class) ?? Role::Teacher;
        $you = $this->studio->member();
        if ($member->id === $you->id) {
            throw ValidationException::withMessages(['role' => 'Hand the studio over to somebody else first.']);
        }
        if ($role === Role::Owner) {
            if ($member->user_id === null) {
                throw ValidationException::withMessages(['role' => "{$member->name} has not accepted the invitation yet."]);
            }
            $you->update(['role' => Role::Teacher]);
        }
        $member->update(['role' => $role]);

        return new JsonResponse(MemberResource::of($member->loadCount('students'), $you));
    }

    /** Takes somebody out; the students stay, and go to another. */
    #[Delete('/members/{member}')]
    public function destroy(LeaveStudioRequest $request, Membership $member, LeaveStudio $leave): Response
    {
        $to = $request->input('studentsTo');
        $leave($member, is_int($to) ? $to : null);

        return new Response(status: 204);
    }

    /** Whoever is signed in leaves the studio. */
    #[Delete('/members')]
    public function leave(LeaveStudioRequest $request, LeaveStudio $leave): Response
    {
        $to = $request->input('studentsTo');
        $leave($this->studio->member(), is_int($to) ? $to : null);

        return new Response(status: 204);
    }

    private function invite(Membership $member, User $from): JsonResponse
    {
        $token = $member->invite();
        // The link stands on the screen as well.
        (new Letter($this->studio->get(), null, 'An invitation to '.$this->studio->get()->name, [
            "Hello {$member->name},",
            '',
            "{$from->name} invites you to work in {$this->studio->get()->name}. Open this within two weeks:",
            url("/invited#{$token}"),
        ]))->post($member->email);

        return new JsonResponse(MemberResource::of($member->loadCount('students'), $this->studio->member(), $token));
    }
}

<?php

declare(strict_types=1);

namespace App\Account\Members;

use App\Account\SessionResource;
use App\Account\User;
use App\Api\Post;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** What whoever has the link of an invitation can do with it. The link stands in the body, so that no log has it. */
final class InvitationsController
{
    #[Post('/invitations/opened', InvitationResource::class)]
    public function open(InvitationRequest $request): JsonResponse
    {
        $invitation = self::invitation($request);
        $user = self::signedIn($request);

        return new JsonResponse(new InvitationResource(
            $invitation->studio->name,
            $invitation->name,
            $invitation->email,
            $invitation->role,
            User::query()->where('email', $invitation->email)->exists(),
            $user?->email,
        ));
    }

    /** Whoever is signed in joins; else an account is made with the address of the invitation. */
    #[Post('/invitations', SessionResource::class)]
    public function accept(AcceptRequest $request, EnterStudio $enter): JsonResponse
    {
        // Two who open one link at once: the second finds it used.
        $invitation = self::invitation($request);
        $locked = Membership::query()->whereKey($invitation->id)->lockForUpdate()->firstOrFail();
        if ($locked->user_id !== null) {
            throw self::used();
        }
        $user = self::signedIn($request) ?? $this->account($request, $invitation);
        if (Membership::query()->where('studio_id', $invitation->studio_id)->where('user_id', $user->id)->exists()) {
            throw ValidationException::withMessages(['token' => 'You are in this studio already.']);
        }
        $invitation->accept($user);
        if (! Auth::check()) {
            Auth::login($user);
            $request->session()->regenerate();
        }

        return new JsonResponse($enter($user, $invitation->studio_id));
    }

    /** @throws ValidationException */
    private function account(AcceptRequest $request, Membership $invitation): User
    {
        $missing = array_filter(['name' => $request->filled('name') ? null : 'Please fill in: your name.', 'password' => $request->filled('password') ? null : 'Please choose a password.']);
        if ($missing !== []) {
            throw ValidationException::withMessages($missing);
        }
        try {
            return DB::transaction(static fn (): User => User::query()->create(['name' => $request->string('name')->trim()->toString(), 'email' => $invitation->email, 'password' => $request->string('password')->toString()]));
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages(['password' => 'There is an account with this address already. Sign in with it, and open the link again.']);
        }
    }

    private static function signedIn(Request $request): ?User
    {
        $user = $request->user();

        return $user instanceof User ? $user : null;
    }

    /** @throws ValidationException */
    private static function invitation(InvitationRequest|AcceptRequest $request): Membership
    {
        return Membership::invitedBy($request->string('token')->toString()) ?? throw self::used();
    }

    private static function used(): ValidationException
    {
        return ValidationException::withMessages(['token' => 'This invitation is used, taken back or too old. Ask for a new one.']);
    }
}

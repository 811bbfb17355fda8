<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Members\EnterStudio;
use App\Account\SecondStep\SecondStep;
use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use Illuminate\Auth\SessionGuard;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Signing in and out. */
final class SessionController
{
    /** Thirty days, in minutes. */
    private const REMEMBERED = 30 * 24 * 60;

    /** A hash that no password fits, as costly to try as any other. */
    private static function nobody(): string
    {
        $hash = Cache::rememberForever('the hash of nobody '.config('hashing.bcrypt.rounds', 12), static fn (): string => Hash::make(Str::random(40)));

        return is_string($hash) ? $hash : Hash::make(Str::random(40));
    }

    #[Post('/session', SessionResource::class)]
    public function store(SignInRequest $request, EnterStudio $enter): JsonResponse
    {
        $user = User::query()->where('email', $request->string('email')->toString())->first();
        // A password is tried in any case, so that an address nobody has takes as long as a wrong password.
        $fits = Hash::check($request->string('password')->toString(), $user->password ?? self::nobody());
        if ($user === null || ! $fits) {
            throw ValidationException::withMessages(['password' => 'The email address and the password do not go together. Check both and try again.']);
        }
        if ($user->second_since !== null && ! SecondStep::takes($user, $request->string('code')->toString())) {
            throw ValidationException::withMessages(['code' => $request->filled('code') ? 'This code is not right. Use the newest one of the app, or a recovery code.' : 'Enter the code of your authenticator app.']);
        }
        $guard = Auth::guard('web');
        if ($guard instanceof SessionGuard) {
            $guard->setRememberDuration(self::REMEMBERED);
        }
        if ($user->membership() === null) {
            throw ValidationException::withMessages(['email' => 'You belong to no studio any more. Ask its teacher for an invitation.']);
        }
        Auth::login($user, $request->boolean('remember'));
        $request->session()->regenerate();

        return new JsonResponse($enter($user, $user->studio_id));
    }

    #[Get('/session', SessionResource::class)]
    public function show(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(SessionResource::of($user->load(['studio', 'memberships.studio'])));
    }

    #[Delete('/session')]
    public function destroy(Request $request): Response
    {
        // This device alone: what is remembered elsewhere stays.
        $guard = Auth::guard('web');
        $guard instanceof SessionGuard ? $guard->logoutCurrentDevice() : Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new Response(status: 204);
    }
}

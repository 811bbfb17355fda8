<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Letters\Letter;
use App\Api\Get;
use App\Api\Patch;
use App\Api\Put;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** The account of whoever is signed in: name, address, password. */
final class AccountController
{
    private const DAYS_TO_CONFIRM = 2;

    #[Get('/account', AccountResource::class)]
    public function show(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(AccountResource::of($user));
    }

    #[Patch('/account', AccountResource::class)]
    public function update(AccountRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $user->update(['name' => $request->string('name')->trim()->toString()]);
        $user->introduce();

        return new JsonResponse(AccountResource::of($user));
    }

    /** Every other device is signed out with it. */
    #[Put('/account/password', AccountResource::class)]
    public function password(PasswordRequest $request, #[CurrentUser] User $user, Sessions $sessions): JsonResponse
    {
        PasswordAskedRequest::hold($user, $request->string('current')->toString(), 'current');
        $user->update(['password' => $request->string('password')->toString()]);
        $sessions->endOthers($user);

        return new JsonResponse(AccountResource::of($user));
    }

    /** The address is another once its mail is answered. */
    #[Put('/account/email', AccountResource::class)]
    public function email(EmailRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        PasswordAskedRequest::hold($user, $request->string('password')->toString(), 'password');
        $address = $request->string('email')->toString();
        $token = Str::random(48);
        DB::transaction(static function () use ($user, $address, $token): void {
            $user->update(['new_email' => $address, 'new_email_hash' => hash('sha256', $token), 'new_email_until' => now()->addDays(self::DAYS_TO_CONFIRM)]);
            (new Letter($user->studio, null, 'Confirm your new address', [
                "Hello {$user->name},",
                '',
                'open this within two days to sign in with this address from now on:',
                url("/account?confirm={$token}"),
            ]))->post($address);
        });

        return new JsonResponse(AccountResource::of($user));
    }

    #[Put('/account/email/confirmed', AccountResource::class)]
    public function confirm(ConfirmEmailRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $fits = $user->new_email !== null && hash_equals((string) $user->new_email_hash, hash('sha256', $request->string('token')->toString()));
        if (! $fits || $user->new_email_until?->isPast() !== false || User::query()->where('email', $user->new_email)->whereKeyNot($user->id)->exists()) {
            throw ValidationException::withMessages(['token' => 'This link is used or too old. Change the address once more to get a new one.']);
        }
        $user->update(['email' => $user->new_email, 'new_email' => null, 'new_email_hash' => null, 'new_email_until' => null]);
        $user->introduce();

        return new JsonResponse(AccountResource::of($user));
    }

    #[Get('/account/sessions', OpenSessionResource::class, many: true)]
    public function sessions(#[CurrentUser] User $user, Sessions $sessions): JsonResponse
    {
        return new JsonResponse($sessions->of($user));
    }
}

<?php

declare(strict_types=1);

namespace App\Account;

use App\Account\Members\EnterStudio;
use App\Api\Get;
use App\Api\Post;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** The first account of an installation, and others where it is open to them. */
final class RegistrationController
{
    #[Get('/welcome', WelcomeResource::class)]
    public function show(): JsonResponse
    {
        return new JsonResponse(new WelcomeResource(User::query()->doesntExist(), BeginStudio::isOpen(), Country::codes()));
    }

    #[Post('/studios', SessionResource::class)]
    public function store(RegistrationRequest $request, BeginStudio $begin, EnterStudio $enter): JsonResponse
    {
        // Two first accounts at once: the second finds the door shut. The lock is a row of the request's own transaction, so it
        // holds until the first account is kept, and not only until it is written.
        $locks = Cache::store('database')->getStore();
        assert($locks instanceof LockProvider);
        $user = $locks->lock('a first account', 10)->block(5, static fn (): User => DB::transaction(static function () use ($request, $begin): User {
            $email = $request->string('email')->toString();
            if (! BeginStudio::isOpen($request->input('invitation'), $email)) {
                throw ValidationException::withMessages(['email' => 'New studios are made by invitation here. Ask whoever runs this installation.']);
            }
            try {
                $user = User::query()->create(['name' => $request->string('name')->trim()->toString(), 'email' => $email, 'password' => $request->string('password')->toString()]);
            } catch (UniqueConstraintViolationException) {
                // Somebody else has taken the address since it was looked at.
                throw ValidationException::withMessages(['email' => __('validation.unique', ['attribute' => 'email'])]);
            }
            $begin($user, $request);

            return $user;
        }));
        Auth::login($user);
        $request->session()->regenerate();

        return new JsonResponse($enter($user, null));
    }
}

<?php

declare(strict_types=1);

namespace App\Account;

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
        return new JsonResponse(new WelcomeResource(User::query()->doesntExist(), self::isOpen(), Country::codes()));
    }

    #[Post('/studios', SessionResource::class)]
    public function store(RegistrationRequest $request): JsonResponse
    {
        // Two first accounts at once: the second finds the door shut. The lock is a row of the request's own transaction, so it
        // holds until the first account is kept, and not only until it is written.
        $locks = Cache::store('database')->getStore();
        assert($locks instanceof LockProvider);
        $user = $locks->lock('a first account', 10)->block(5, static fn (): User => DB::transaction(static function () use ($request): User {
            if (! self::isOpen()) {
                throw ValidationException::withMessages(['email' => 'New studios are made by invitation here. Ask whoever runs this installation.']);
            }
            $country = new Country($request->string('country')->toString());
            $studio = Studio::query()->create([
                'name' => $request->string('studio')->trim()->toString(), 'words' => $country->words(), 'paper' => $country->paper(),
                'timezone' => $country->timezone($request->filled('timezone') ? $request->string('timezone')->toString() : null),
            ]);

            try {
                return User::query()->create(['studio_id' => $studio->id, 'name' => $request->string('name')->trim()->toString(), 'email' => $request->string('email')->toString(), 'password' => $request->string('password')->toString()]);
            } catch (UniqueConstraintViolationException) {
                // Somebody else has taken the address since it was looked at.
                throw ValidationException::withMessages(['email' => __('validation.unique', ['attribute' => 'email'])]);
            }
        }));
        Auth::login($user);
        $request->session()->regenerate();

        return new JsonResponse(SessionResource::of($user->load('studio')->refresh()));
    }

    private static function isOpen(): bool
    {
        return config('nasturtium.registration') === true || User::query()->doesntExist();
    }
}

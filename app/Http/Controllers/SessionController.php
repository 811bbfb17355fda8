<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Api\Delete;
use App\Api\Get;
use App\Api\Post;
use App\Http\Requests\SignInRequest;
use App\Http\Resources\SessionResource;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Signing in and out. */
final class SessionController
{
    #[Post('/session', SessionResource::class)]
    public function store(SignInRequest $request): JsonResponse
    {
        if (! Auth::attempt($request->only('email', 'password'), true)) {
            throw ValidationException::withMessages(['password' => 'The e-mail address and the password do not go together. Check both and try again.']);
        }
        $request->session()->regenerate();

        return new JsonResponse(SessionResource::of($this->user($request)));
    }

    #[Get('/session', SessionResource::class)]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(SessionResource::of($this->user($request)));
    }

    #[Delete('/session')]
    public function destroy(Request $request): Response
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new Response(status: 204);
    }

    private function user(Request $request): User
    {
        return User::query()->with('studio')->where('id', $request->user()?->getAuthIdentifier())->firstOrFail();
    }
}

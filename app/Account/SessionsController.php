<?php

declare(strict_types=1);

namespace App\Account;

use App\Api\Delete;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/** Other devices are signed out: one, or all of them. */
final class SessionsController
{
    #[Delete('/account/sessions/{token}', OpenSessionResource::class, many: true)]
    public function destroy(string $token, #[CurrentUser] User $user, Sessions $sessions): JsonResponse
    {
        $sessions->end($user, $token);

        return new JsonResponse($sessions->of($user));
    }

    #[Delete('/account/sessions', OpenSessionResource::class, many: true)]
    public function destroyAll(#[CurrentUser] User $user, Sessions $sessions): JsonResponse
    {
        $sessions->endOthers($user);

        return new JsonResponse($sessions->of($user));
    }
}
